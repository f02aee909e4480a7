-- What the names in other programs' templates were said to mean, so that each is asked about once.
create table foreign_name (
  business_id uuid not null references business on delete cascade,
  -- the words of the name, as they are looked up
  name text not null,
  -- a tag of ours; or that its words stay, or that a gap stands there
  meant text not null check (meant in ('words', 'gap') or meant like '{{%}}'),
  said_at timestamptz not null,
  primary key (business_id, name)
);
alter table foreign_name enable row level security;
create policy own_business on foreign_name
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
