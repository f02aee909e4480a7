-- Templates, passages and signatures name a passage by its key: when it is called otherwise, nothing that uses it changes.

create function passages_by_key(node jsonb, of_business uuid) returns jsonb language plpgsql stable as $$
declare
  called text;
begin
  if jsonb_typeof(node) = 'array' then
    return coalesce((select jsonb_agg(passages_by_key(child, of_business) order by at)
      from jsonb_array_elements(node) with ordinality list(child, at)), '[]');
  elsif jsonb_typeof(node) <> 'object' then
    return node;
  elsif node ->> 'type' = 'passage' then
    called := node #>> '{attrs,name}';
    return jsonb_set(node, '{attrs}', jsonb_build_object('passage',
      coalesce((select key from passage where business_id = of_business and name = called), called)));
  end if;
  return coalesce((select jsonb_object_agg(name, passages_by_key(value, of_business)) from jsonb_each(node) each(name, value)), '{}');
end $$;

update template_version set head = passages_by_key(head, business_id), document = passages_by_key(document, business_id), document_schema = 3;
update passage set document = passages_by_key(document, business_id), document_schema = 3;
update signature set document = passages_by_key(document, business_id), document_schema = 3;
drop function passages_by_key;
