-- Records are listed page by page and found by their words, however many there are.

create extension if not exists btree_gin;

-- Words as the core makes them ready to be searched (core/searching/finder): each between spaces, folded; what is written
-- with a dash or a stop also without, digits that are apart also together.
create function search_words(texts text) returns text language sql immutable parallel safe as $$
  select ' ' || concat_ws(' ', bare,
      (select string_agg(translate(dashed[1], '-–/.', ''), ' ') from regexp_matches(bare, '(\S+[-–/.]\S*)', 'g') dashed
        where dashed[1] !~ '^\d+[.:]\d+$'),
      (select string_agg(regexp_replace(number[1], '\D', '', 'g'), ' ')
        from regexp_matches(whole, '(\+?\d[\d ()-]{5,20}\d)', 'g') number)) || ' '
  -- Each is worked out once (offset 0): taken into one another they would be worked out wherever they are named.
  from (select folded(texts) as whole offset 0) read,
    lateral (select btrim(regexp_replace(regexp_replace(regexp_replace(whole,
      '(^|\s)[^[:alnum:]\s]+', '\1', 'g'), '[^[:alnum:]\s]+(\s|$)', '\1', 'g'), '\s+', ' ', 'g')) as bare offset 0) edged
$$;

create table record_words (
  business_id uuid not null references business on delete cascade,
  kind text not null check (kind in ('client', 'enquiry', 'project', 'booking', 'invoice')),
  id uuid not null,
  words text not null,
  primary key (business_id, kind, id)
);
create index record_words_search on record_words using gin (business_id, kind, words gin_trgm_ops);
alter table record_words enable row level security;
create policy own_business on record_words
  using (business_id = (select business_at_work()) or (select every_business_at_work()));

-- What each record is found by.
create view records_in_words with (security_invoker = true) as
  select client.business_id, 'client' as kind, client.id, search_words(concat_ws(' ', client.name, client.kind, email,
      phone, mobile, array_to_string(tags, ' '), address ->> 'town', address ->> 'postcode',
      replace(address ->> 'postcode', ' ', ''),
      (select string_agg(line, ' ') from jsonb_array_elements_text(coalesce(address -> 'street', '[]')) line),
      (select string_agg(concat_ws(' ', preferred_name, given_name, family_name, contact.email, contact.phone, contact.mobile), ' ')
        from contact where contact.business_id = client.business_id and contact.client_id = client.id),
      (select string_agg(number, ' ') from invoice
        where invoice.business_id = client.business_id and invoice.client_id = client.id))) as words
    from client
  union all
  select enquiry.business_id, 'enquiry', enquiry.id, search_words(concat_ws(' ', client.name, enquiry.name, enquiry.email,
      enquiry.phone, service, status))
    from enquiry left join client on client.business_id = enquiry.business_id and client.id = enquiry.client_id
  union all
  select project.business_id, 'project', project.id, search_words(concat_ws(' ', title, client.name, status,
      to_char(starts_on, 'FMMonth YYYY')))
    from project join client on client.business_id = project.business_id and client.id = project.client_id
  union all
  select booking.business_id, 'booking', booking.id, search_words(concat_ws(' ', client.name, service, status,
      to_char(starts_at at time zone business.time_zone, 'FMDay FMDD FMMonth YYYY HH24:MI')))
    from booking join client on client.business_id = booking.business_id and client.id = booking.client_id
    join business on business.id = booking.business_id
  union all
  select invoice.business_id, 'invoice', invoice.id, search_words(concat_ws(' ', number, client.name, status,
      to_char(total / 100.0, 'FM999999999990.00')))
    from invoice join client on client.business_id = invoice.business_id and client.id = invoice.client_id;

create function say_records_again(of_kind text, which uuid[]) returns void language sql as $$
  insert into record_words
    select business_id, kind, id, words from records_in_words where kind = of_kind and id = any (which)
  on conflict (business_id, kind, id) do update set words = excluded.words where record_words.words <> excluded.words
$$;

-- The words follow what is written. A client's stand in its records, too; those of its people and invoices stand in it.
create function words_follow_new() returns trigger language plpgsql as $$
begin
  perform say_records_again(tg_table_name::text, array(select id from added));
  if tg_table_name = 'invoice' then
    perform say_records_again('client', array(select distinct client_id from added));
  end if;
  return null;
end $$;

create function words_follow_changed() returns trigger language plpgsql as $$
declare other uuid[];
begin
  if tg_table_name = 'client' then
    perform say_records_again('client', array(select id from added));
    other := array(select id from added join removed using (business_id, id) where added.name <> removed.name);
    if cardinality(other) > 0 then
      perform say_records_again('enquiry', array(select id from enquiry where client_id = any (other)));
      perform say_records_again('project', array(select id from project where client_id = any (other)));
      perform say_records_again('booking', array(select id from booking where client_id = any (other)));
      perform say_records_again('invoice', array(select id from invoice where client_id = any (other)));
    end if;
  elsif tg_table_name = 'invoice' then
    -- Its sums follow every payment: they are not said.
    other := array(select id from added join removed using (business_id, id)
      where (added.number, added.client_id, added.status, added.total) is distinct from
        (removed.number, removed.client_id, removed.status, removed.total));
    if cardinality(other) > 0 then
      perform say_records_again('invoice', other);
      perform say_records_again('client', array(
        select client_id from added where id = any (other) union select client_id from removed where id = any (other)));
    end if;
  else
    perform say_records_again(tg_table_name::text, array(select id from added));
  end if;
  return null;
end $$;

create function words_follow_gone() returns trigger language plpgsql as $$
begin
  delete from record_words using removed
    where record_words.business_id = removed.business_id and record_words.kind = tg_table_name and record_words.id = removed.id;
  if tg_table_name = 'invoice' then
    perform say_records_again('client', array(select distinct client_id from removed));
  end if;
  return null;
end $$;

create function words_follow_people() returns trigger language plpgsql as $$
begin
  if tg_op <> 'DELETE' then
    perform say_records_again('client', array(select distinct client_id from added));
  end if;
  if tg_op <> 'INSERT' then
    perform say_records_again('client', array(select distinct client_id from removed));
  end if;
  return null;
end $$;

do $$
declare one text;
begin
  foreach one in array array['client', 'enquiry', 'project', 'booking', 'invoice', 'contact'] loop
    execute format('create trigger %I after insert on %I referencing new table as added for each statement execute function %I()',
      one || '_words_new', one, case one when 'contact' then 'words_follow_people' else 'words_follow_new' end);
    execute format('create trigger %I after update on %I referencing new table as added old table as removed
      for each statement execute function %I()',
      one || '_words_changed', one, case one when 'contact' then 'words_follow_people' else 'words_follow_changed' end);
    execute format('create trigger %I after delete on %I referencing old table as removed for each statement execute function %I()',
      one || '_words_gone', one, case one when 'contact' then 'words_follow_people' else 'words_follow_gone' end);
  end loop;
end $$;

insert into record_words select business_id, kind, id, words from records_in_words;

-- The records of the business at work that have all of some words. Each word comes with the ways in which it may stand:
-- [[{"like": "%lpc-1048%"}, {"like": "%lpc1048%"}], [{"like": "%1048%", "match": "…"}]]. It runs as the owner of the tables
-- and keeps to the business itself: under row security an index is not used for patterns.
create function found_records(of_kind text, wanted jsonb, most integer) returns setof uuid
language plpgsql stable security definer set search_path = public, pg_temp as $$
declare conditions text;
begin
  select string_agg('(' || ways.any_of || ')', ' and ') into conditions
  from jsonb_array_elements(wanted) word, lateral (
    select string_agg(format('(words like %L%s)', way ->> 'like',
      case when way ? 'match' then format(' and words ~ %L', way ->> 'match') else '' end), ' or ') as any_of
    from jsonb_array_elements(word) way) ways;
  return query execute format(
    'select id from record_words where business_id = business_at_work() and kind = %L and %s limit %s',
    of_kind, conditions, most);
end $$;

-- The lists in their orders (data/repositories/recordLists).
drop index client_search, client_by_name;
create index client_list on client (business_id, lower(name), key);
create index enquiry_list on enquiry (business_id, (status = 'waiting'), received_at, key);
create index project_list on project (business_id, (status in ('active', 'planned', 'enquiry')), coalesce(starts_on, 'infinity'), key);
create index booking_list on booking (business_id, starts_at, key);
create index invoice_list_open on invoice (business_id, coalesce(due_on, 'infinity'), number) where status = 'sent' and total > paid;
create index invoice_list_other on invoice (business_id, coalesce(issued_on, 'infinity'), number) where not (status = 'sent' and total > paid);
