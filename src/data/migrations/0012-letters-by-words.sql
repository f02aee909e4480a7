-- Letters are found by their words as they stand and in the forms of the business's language (PostgreSQL's text search), by
-- whom they are to, from and about; the newest first.

create function words_config(locale text) returns regconfig language sql immutable parallel safe as $$
  select (case split_part(locale, '-', 1)
    when 'da' then 'danish' when 'de' then 'german' when 'en' then 'english' when 'es' then 'spanish' when 'fi' then 'finnish'
    when 'fr' then 'french' when 'hu' then 'hungarian' when 'it' then 'italian' when 'nl' then 'dutch' when 'nb' then 'norwegian'
    when 'no' then 'norwegian' when 'pt' then 'portuguese' when 'ro' then 'romanian' when 'ru' then 'russian'
    when 'sv' then 'swedish' when 'tr' then 'turkish' else 'simple' end)::regconfig
$$;

create table letter_words (
  business_id uuid not null,
  message_id uuid not null,
  at timestamptz not null,
  words tsvector not null,
  primary key (business_id, message_id),
  foreign key (business_id, message_id) references message on delete cascade
);
create index letter_words_search on letter_words using gin (business_id, words);
create index letter_words_lately on letter_words (business_id, at desc, message_id desc);
alter table letter_words enable row level security;
create policy own_business on letter_words
  using (business_id = (select business_at_work()) or (select every_business_at_work()));

-- A tsvector takes no word of over two kilobytes and no text of over a megabyte: a letter is found by its first half.
create view letters_in_words with (security_invoker = true) as
  select message.business_id, message.id as message_id, message.at,
    to_tsvector(words_config(business.locale), said.words) || to_tsvector('simple', said.words) as words
  from message
  join business on business.id = message.business_id
  left join client on client.business_id = message.business_id and client.id = message.client_id,
  lateral (select search_words(left(concat_ws(' ', subject, client.name, from_name, from_address,
      (select string_agg(one.name || ' ' || one.address, ' ') from message_recipient one
        where one.business_id = message.business_id and one.message_id = message.id), text), 400000)) as whole offset 0) read,
  lateral (select read.whole || regexp_replace(read.whole, '[^[:alnum:] ]+', ' ', 'g') as words offset 0) said
  where message.status <> 'draft';

create function say_letters_again(which uuid[]) returns void language sql as $$
  insert into letter_words select * from letters_in_words where message_id = any (which)
  on conflict (business_id, message_id) do update set at = excluded.at, words = excluded.words
    where (letter_words.at, letter_words.words) is distinct from (excluded.at, excluded.words)
$$;

create function letters_follow() returns trigger language plpgsql as $$
begin
  case tg_table_name
    when 'message' then
      if tg_op = 'INSERT' then perform say_letters_again(array(select id from added));
      else perform say_letters_again(array(select id from added join removed using (business_id, id)
        where (added.subject, added.text, added.at, added.client_id, added.from_name, added.from_address, added.status = 'draft')
          is distinct from (removed.subject, removed.text, removed.at, removed.client_id, removed.from_name,
            removed.from_address, removed.status = 'draft')));
      end if;
    when 'message_recipient' then perform say_letters_again(array(select distinct message_id from added));
    when 'client' then
      perform say_letters_again(array(select message.id from added join removed using (business_id, id)
        join message on message.business_id = added.business_id and message.client_id = added.id
        where added.name <> removed.name));
    when 'business' then
      perform say_letters_again(array(select message.id from added join removed using (id)
        join message on message.business_id = added.id where added.locale is distinct from removed.locale));
  end case;
  return null;
end $$;

create trigger letters_follow_new after insert on message
  referencing new table as added for each statement execute function letters_follow();
create trigger letters_follow_changed after update on message
  referencing new table as added old table as removed for each statement execute function letters_follow();
create trigger letters_follow_readers after insert on message_recipient
  referencing new table as added for each statement execute function letters_follow();
create trigger letters_follow_client after update on client
  referencing new table as added old table as removed for each statement execute function letters_follow();
create trigger letters_follow_business after update on business
  referencing new table as added old table as removed for each statement execute function letters_follow();

insert into letter_words select * from letters_in_words;

-- By the index alone: how often words occur cannot be told beforehand, and a walk through all letters for words that none
-- has would take long.
create function letters_by_index(sought tsquery, most integer) returns setof uuid
language sql stable security definer set search_path = public, pg_temp set enable_seqscan = off set enable_indexscan = off as $$
  select message_id from letter_words where business_id = business_at_work() and words @@ sought
  order by at desc, message_id desc limit most
$$;

-- The newest letters of the business at work that have all of some words, each with the forms in which it may stand, as
-- to_tsquery reads them: [["lpc:* & 1048:*", "lpc1048:*"], ["tuning:*"]]. Runs as the owner of the tables, as found_records.
create function found_letters(wanted jsonb, most integer) returns setof uuid
language plpgsql stable security definer set search_path = public, pg_temp as $$
declare
  config regconfig := (select words_config(locale) from business where id = business_at_work());
  sought tsquery;
  one tsquery;
  word jsonb;
  form text;
  found uuid[];
begin
  for word in select * from jsonb_array_elements(wanted) loop
    one := null;
    for form in select * from jsonb_array_elements_text(word) loop
      one := coalesce(one || to_tsquery('simple', form), to_tsquery('simple', form)) || to_tsquery(config, form);
    end loop;
    sought := coalesce(sought && one, one);
  end loop;
  -- Words that many letters have are in enough of the newest; for others the index is short.
  found := array(select message_id from (
      select message_id, at, words from letter_words where business_id = business_at_work()
      order by at desc, message_id desc limit 30000) newest
    where words @@ sought order by at desc, message_id desc limit most);
  if cardinality(found) < most then
    found := array(select letters_by_index(sought, most));
  end if;
  return query select unnest(found);
end $$;

-- What was searched letter by letter.
alter table message drop column searched;

create index message_about_enquiry on message (business_id, enquiry_id, at desc) where enquiry_id is not null;
