-- A text as it is looked for (foldText of the core): without case, accents and apostrophes.
create function folded(words text) returns text language sql immutable parallel safe strict as $$
  select translate(
    replace(replace(replace(
      regexp_replace(lower(normalize(words, NFD)), '[\u0300-\u036f''’‘`´]', '', 'g'),
    'ß', 'ss'), 'æ', 'ae'), 'œ', 'oe'),
  'øđł', 'odl')
$$;

alter table message add column searched text generated always as (
  folded(coalesce(subject, '') || ' ' || coalesce(text, '') || ' ' || coalesce(from_name, '') || ' '
    || coalesce(from_address, ''))
) stored;
