-- What a business usually does: each service with its usual length and price.
create table service (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  name text not null check (name <> ''),
  minutes integer check (minutes between 1 and 527040),
  price bigint check (price >= 0),
  position integer not null,
  primary key (business_id, id)
);
create unique index service_name on service (business_id, lower(name));

-- A usual way in which an invoice is paid in parts: each a share of it, so many days after it was issued.
create table payment_plan (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  name text not null check (name <> ''),
  -- [{"share": 50, "days": 14}]
  parts jsonb not null,
  position integer not null,
  primary key (business_id, id)
);
create unique index payment_plan_name on payment_plan (business_id, lower(name));

-- How work is done, one row a business. invoice_next is the number that the next invoice gets: whoever issues one holds the
-- row until that is kept, so that no number is left out and none is given twice.
create table work_ways (
  business_id uuid primary key references business on delete cascade,
  travel_minutes integer not null default 0 check (travel_minutes between 0 and 480),
  invoice_prefix text not null default '' check (length(invoice_prefix) <= 30),
  invoice_next integer not null default 1 check (invoice_next > 0),
  invoice_digits integer not null default 1 check (invoice_digits between 1 and 9),
  days_to_pay integer not null default 14 check (days_to_pay between 0 and 365),
  tax_rate numeric not null default 0 check (tax_rate between 0 and 100),
  version integer not null default 1
);
insert into work_ways (business_id) select id from business;

-- A draft has no number yet.
alter table invoice alter column number drop not null,
  add constraint invoice_numbered check (status = 'draft' or number is not null);
drop index invoice_list_other;
create index invoice_list_other on invoice (business_id, coalesce(issued_on, 'infinity'), coalesce(number, key))
  where not (status = 'sent' and total > paid);

-- Records that were removed lie here with all that was theirs, until they are put back or swept away.
create table removed_record (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  kind text not null,
  key text not null,
  name text not null,
  member_id uuid not null,
  removed_at timestamptz not null,
  -- each table's rows, in an order in which they may be written
  rows jsonb not null,
  -- what pointed at them: [{"table", "column", "was": {"<id>": "<id of what it pointed at>"}}]
  loosened jsonb not null,
  primary key (business_id, id),
  foreign key (business_id, member_id) references member on delete cascade
);
create index removed_lately on removed_record (business_id, removed_at desc);

create index booking_of_member on booking (business_id, member_id, starts_at);

do $$
declare name text;
begin
  foreach name in array array['service', 'payment_plan', 'work_ways', 'removed_record'] loop
    execute format('alter table %I enable row level security', name);
    execute format('create policy own_business on %I
      using (business_id = (select business_at_work()) or (select every_business_at_work()))', name);
  end loop;
end $$;

-- Partners are listed and found like the others.
create index partner_list on partner (business_id, lower(name), key);
alter table record_words drop constraint record_words_kind_check,
  add constraint record_words_kind_check check (kind in ('client', 'enquiry', 'project', 'booking', 'invoice', 'partner'));
do $$
begin
  execute 'create or replace view records_in_words with (security_invoker = true) as '
    || rtrim(pg_get_viewdef('records_in_words'::regclass), ';')
    || ' union all select partner.business_id, ''partner'', partner.id, search_words(concat_ws('' '', name, trade, given_name,
         family_name, email, phone, address ->> ''town'')) from partner';
end $$;
create trigger partner_words_new after insert on partner referencing new table as added
  for each statement execute function words_follow_new();
create trigger partner_words_changed after update on partner referencing new table as added old table as removed
  for each statement execute function words_follow_changed();
create trigger partner_words_gone after delete on partner referencing old table as removed
  for each statement execute function words_follow_gone();
insert into record_words select business_id, kind, id, words from records_in_words where kind = 'partner';

-- What lasts over a day is few, and looked for apart from what begins near a moment.
create index booking_long on booking (business_id, ends_at) where ends_at - starts_at > interval '1 day';

-- However a business is made, it has its ways of work: at the end of what makes it, so that its own come before the usual ones.
create function business_has_ways() returns trigger language plpgsql security definer set search_path = public, pg_temp as $$
begin
  insert into work_ways (business_id) values (new.id) on conflict do nothing;
  return null;
end $$;
create constraint trigger business_has_ways after insert on business deferrable initially deferred
  for each row execute function business_has_ways();
