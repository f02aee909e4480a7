-- Templates and passages are kept as letters are: what a node or mark says stands in its attrs, a table's head is its first
-- row, a condition has branches, and what is at its default is left out (core/document).
create function document_of_schema_1(node jsonb) returns jsonb language plpgsql immutable as $$
declare
  kind text := node ->> 'type';
  attrs jsonb := '{}';
  content jsonb;
  made jsonb;
  name text;
  value jsonb;
begin
  if jsonb_typeof(node) = 'array' then
    return coalesce((select jsonb_agg(document_of_schema_1(child) order by at) from jsonb_array_elements(node) with ordinality list(child, at)), '[]');
  end if;
  for name, value in select * from jsonb_each(node - '{type,content,marks,text,header,otherwise}'::text[]) loop
    attrs := attrs || case
      when name in ('source', 'description', 'link', 'address') then jsonb_build_object(name, document_of_schema_1(value))
      when name in ('tight', 'inverted', 'button') and value = 'false'
        or name = 'start' and value = '1'
        or name = 'language' and value = '""'
        or name = 'styles' and value = '[]' and kind <> 'styled' then '{}'::jsonb
      else jsonb_build_object(name, value)
    end;
  end loop;
  -- The code of a mark has no content, that of a block has.
  made := jsonb_build_object('type', case when kind = 'code' and node ? 'content' then 'codeBlock' else kind end);
  if attrs <> '{}' then made := made || jsonb_build_object('attrs', attrs); end if;
  if node ? 'text' then made := made || jsonb_build_object('text', node -> 'text'); end if;
  if node ? 'marks' then made := made || jsonb_build_object('marks', document_of_schema_1(node -> 'marks')); end if;
  if node ? 'content' then
    content := document_of_schema_1(node -> 'content');
    if kind = 'table' then
      content := jsonb_build_array(jsonb_build_object(
        'type', 'tableRow', 'attrs', '{"header": true}'::jsonb, 'content', document_of_schema_1(node -> 'header'))) || content;
    elsif kind = 'when' then
      content := jsonb_build_array(jsonb_build_object('type', 'branch', 'content', content)) || case when node ? 'otherwise'
        then jsonb_build_array(jsonb_build_object('type', 'branch', 'content', document_of_schema_1(node -> 'otherwise'))) else '[]' end;
    end if;
    made := made || jsonb_build_object('content', content);
  end if;
  return made;
end $$;

update template_version set
  document = document_of_schema_1(document),
  head = head || coalesce((
    select jsonb_object_agg(line, document_of_schema_1(head -> line))
    from unnest(array['subject', 'replyTo', 'copy', 'blindCopy']) line where head ? line), '{}'),
  document_schema = 2
where document_schema = 1;
update passage set document = document_of_schema_1(document), document_schema = 2 where document_schema = 1;

drop function document_of_schema_1;
