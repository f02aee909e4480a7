-- Further telephone numbers and addresses of a client, each with what it is for: {"use": "work", "number": "…"}, {"use": "…", "address": {…}}.
alter table client
  add more_phones jsonb not null default '[]' check (jsonb_typeof(more_phones) = 'array'),
  add more_addresses jsonb not null default '[]' check (jsonb_typeof(more_addresses) = 'array');

-- Those that were removed or went into another lately come back with none.
update removed_record set rows = jsonb_set(rows, '{client}',
  (select jsonb_agg(one || '{"more_phones": [], "more_addresses": []}') from jsonb_array_elements(rows -> 'client') one))
  where kind = 'client';
update merged_client set gone = gone || '{"more_phones": [], "more_addresses": []}',
  before = before || '{"more_phones": [], "more_addresses": []}';

-- They are found by them; and what several rows say stands in an order, so that the same records have the same words.
do $$
declare
  said text := pg_get_viewdef('records_in_words'::regclass, true);
  change text[];
begin
  foreach change slice 1 in array array[
    array['client.mobile,', $w$client.mobile, (select string_agg(concat_ws(' ', one.value ->> 'use', one.value ->> 'number'), ' ')
         from jsonb_array_elements(client.more_phones) one),
       (select string_agg(concat_ws(' ', one.value ->> 'use', one.value #>> '{address,town}', one.value #>> '{address,postcode}'), ' ')
         from jsonb_array_elements(client.more_addresses) one),$w$],
    array['contact.mobile), '' ''::text)', 'contact.mobile), '' ''::text order by contact.position, contact.id)'],
    array['string_agg(invoice.number, '' ''::text)', 'string_agg(invoice.number, '' ''::text order by invoice.number)']
  ] loop
    if position(change[1] in said) = 0 then raise exception 'The words of records have no %', change[1]; end if;
    said := replace(said, change[1], change[2]);
  end loop;
  execute 'create or replace view records_in_words with (security_invoker = true) as ' || said;
end $$;
