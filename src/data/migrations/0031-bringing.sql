-- Files that are brought in: what each holds, how far it has come, and what its columns were taken for.
create table bringing (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  kind text not null check (kind in ('client', 'booking', 'invoice', 'payment')),
  -- the file's
  name text not null,
  member_id uuid not null,
  begun_at timestamptz not null,
  -- its rows are being given; they wait to come in; they are in; they wait to be taken out again; they are out
  state text not null check (state in ('given', 'coming', 'in', 'going', 'out')),
  total integer not null check (total > 0),
  done integer not null default 0,
  -- of a table: what heads its columns, and what each was taken for
  heads text[] not null default '{}',
  columns jsonb not null default '[]',
  -- rows that stayed out, or records that stayed in, each with its reason: [{"name": "…", "message": "…"}]
  left_over jsonb not null default '[]',
  primary key (business_id, id),
  foreign key (business_id, member_id) references member on delete cascade
);
create index bringing_at_work on bringing (begun_at) where state in ('coming', 'going');
create index bringing_lately on bringing (business_id, begun_at desc);

-- What is to come in, some rows together; gone when it is in.
create table brought_rows (
  business_id uuid not null,
  bringing_id uuid not null,
  position integer not null,
  -- [{"row": 2, "facts": {…}}]
  rows jsonb not null,
  primary key (business_id, bringing_id, position),
  foreign key (business_id, bringing_id) references bringing on delete cascade
);

-- What came in of it, so that it can be taken out again for a week.
create table brought_record (
  business_id uuid not null,
  bringing_id uuid not null,
  position integer not null,
  record_id uuid not null,
  -- its version right after; of a payment, its place among its invoice's
  version integer not null,
  -- of one that was there before: what was changed of it
  before jsonb,
  primary key (business_id, bringing_id, position),
  foreign key (business_id, bringing_id) references bringing on delete cascade
);

do $$
declare name text;
begin
  foreach name in array array['bringing', 'brought_rows', 'brought_record'] loop
    execute format('alter table %I enable row level security', name);
    execute format('create policy own_business on %I
      using (business_id = (select business_at_work()) or (select every_business_at_work()))', name);
  end loop;
end $$;

-- A visit of another calendar is told by its mark when it comes again.
alter table booking add column uid text check (uid <> '');
create unique index booking_uid on booking (business_id, uid);

-- A telephone number by its last figures, however it is written; nothing where there are too few.
create function digits(phone text) returns text language sql immutable parallel safe as $$
  select case when length(bare) >= 7 then right(bare, 9) end
  from (select regexp_replace(phone, '\D', '', 'g') as bare) read
$$;
