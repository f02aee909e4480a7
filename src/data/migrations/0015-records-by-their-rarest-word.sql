-- Records that have all of some words, of which one is in most records and another in few (“client 432”): the index is asked
-- for the rarest alone, as a sample tells it, and the others are looked for in what it gives.

create or replace function found_records(of_kind text, wanted jsonb, most integer) returns setof uuid
language plpgsql stable security definer set search_path = public, pg_temp as $$
declare
  sample constant integer := 400;
  theirs constant text := format('from record_words where business_id = business_at_work() and kind = %L', of_kind);
  -- one condition for each word, in the order of the words
  conditions text[];
  had bigint[];
  rarest integer;
begin
  select array_agg('(' || ways.any_of || ')' order by word.place) into conditions
  from jsonb_array_elements(wanted) with ordinality word(ways, place), lateral (
    select string_agg(format('(words like %L%s)', way ->> 'like',
      case when way ? 'match' then format(' and words ~ %L', way ->> 'match') else '' end), ' or ') as any_of
    from jsonb_array_elements(word.ways) way) ways;
  if cardinality(conditions) > 1 then
    execute format('select array[%s] from (select words %s order by id limit %s) some_of_them',
      (select string_agg(format('count(*) filter (where %s)', condition), ', ' order by place)
        from unnest(conditions) with ordinality each_word(condition, place)), theirs, sample) into had;
    select place into rarest from unnest(had) with ordinality counted(records, place)
      where records <= sample / 20 order by records, place limit 1;
  end if;
  -- A word that more than a twentieth has would lead to too many: then the index looks for all of them together.
  return query execute case when rarest is null
    then format('select id %s and %s limit %s', theirs, array_to_string(conditions, ' and '), most)
    else format('select id from (select id, words %s and %s offset 0) those where %s limit %s', theirs, conditions[rarest],
      array_to_string(conditions[:rarest - 1] || conditions[rarest + 1:], ' and '), most) end;
end $$;
