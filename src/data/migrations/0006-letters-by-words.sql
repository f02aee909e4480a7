-- A text as it is looked for (foldText of the core): without case, accents and apostrophes.
create function folded(words text) returns text language sql immutable parallel safe strict as $$
  select regexp_replace(lower(normalize(words, NFD)), '[\u0300-\u036f''’‘`´]', '', 'g')
$$;

alter table message add column searched text generated always as (
  folded(coalesce(subject, '') || ' ' || coalesce(text, '') || ' ' || coalesce(from_name, '') || ' '
    || coalesce(from_address, ''))
) stored;
