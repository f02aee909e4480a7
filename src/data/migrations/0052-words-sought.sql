-- What each word that is looked for may stand as: one question to the words of letters for each.
create function words_sought(wanted jsonb) returns tsquery[] language plpgsql stable security definer set search_path = public, pg_temp as $$
declare
  config regconfig := (select words_config(locale) from business where id = business_at_work());
  each_word tsquery[] := '{}';
  one tsquery;
  word jsonb;
  form text;
begin
  for word in select * from jsonb_array_elements(wanted) loop
    one := null;
    for form in select * from jsonb_array_elements_text(word) loop
      one := coalesce(one || to_tsquery('simple', form), to_tsquery('simple', form)) || to_tsquery(config, form);
    end loop;
    each_word := each_word || one;
  end loop;
  return each_word;
end $$;

create or replace function found_letters(wanted jsonb, most integer) returns setof uuid
language plpgsql stable security definer set search_path = public, pg_temp as $$
declare
  -- so many of the newest are looked through for all words, and so many for each
  newest constant integer := 3000;
  sample constant integer := 400;
  each_word tsquery[] := words_sought(wanted);
  sought tsquery;
  rarest tsquery;
  had bigint;
  one tsquery;
  found uuid[];
begin
  foreach one in array each_word loop
    sought := coalesce(sought && one, one);
  end loop;
  -- Words that many letters have together are in enough of the newest.
  found := array(select message_id from (
      select message_id, at, words from letter_words where business_id = business_at_work()
      order by at desc, message_id desc limit newest) lately
    where words @@ sought order by at desc, message_id desc limit most);
  if cardinality(found) < most then
    select wanted_word.query, count(lately.message_id) into rarest, had
      from unnest(each_word) with ordinality wanted_word(query, place)
      left join (select message_id, words from letter_words where business_id = business_at_work()
        order by at desc, message_id desc limit sample) lately on lately.words @@ wanted_word.query
      group by wanted_word.query, wanted_word.place order by count(lately.message_id), wanted_word.place limit 1;
    -- A word that more than a hundredth has would lead to too many: then the index looks for all of them together.
    found := case when had <= sample / 100 then array(select letters_by_rarest(rarest, sought, most))
      else array(select letters_by_index(sought, most)) end;
  end if;
  return query select unnest(found);
end $$;
