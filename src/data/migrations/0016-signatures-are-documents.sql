-- Signatures are written as templates and letters are: their words are a document, with fields that are found for whoever
-- signs.

-- Lines with a break between two; a field that was written into one is one.
create function document_of_signature(written text) returns jsonb language sql immutable as $$
  select jsonb_build_object('type', 'doc', 'content', jsonb_build_array(
    jsonb_build_object('type', 'paragraph', 'content', coalesce((
      select jsonb_agg(case
          when piece[1] = E'\n' then jsonb_build_object('type', 'break')
          when piece[1] ~ '^\{\{[a-z_.]+\}\}$'
            then jsonb_build_object('type', 'field', 'attrs', jsonb_build_object('path', btrim(piece[1], '{}'), 'steps', '[]'::jsonb))
          else jsonb_build_object('type', 'text', 'text', piece[1]) end order by place)
        from regexp_matches(btrim(written, E' \n'), '\n|\{\{[a-z_.]+\}\}|(?:(?!\n|\{\{[a-z_.]+\}\}).)+', 'g')
          with ordinality pieces(piece, place)), '[]'))))
$$;

alter table signature add column document jsonb, add column document_schema smallint;
update signature set document = document_of_signature(text), document_schema = 2;
alter table signature alter column document set not null, alter column document_schema set not null, drop column text;
drop function document_of_signature;
