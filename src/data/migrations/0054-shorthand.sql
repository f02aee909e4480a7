-- A few characters that turn into longer text while somebody types: the house's, or one member's own.
create table shorthand (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  key text not null,
  -- whose: null, the house's
  member_id uuid,
  group_id uuid,
  -- the characters
  name text not null check (name <> '' and name !~ '\s'),
  document jsonb not null,
  document_schema smallint not null,
  version integer not null default 1 check (version > 0),
  primary key (business_id, id),
  constraint shorthand_key unique (business_id, key),
  foreign key (business_id, member_id) references member on delete cascade,
  foreign key (business_id, group_id) references template_group
);
-- A phone writes the first letter large: the same characters are one shorthand, whatever their case.
create unique index shorthand_name on shorthand (business_id, coalesce(member_id, business_id), lower(name));

alter table shorthand enable row level security;
create policy own_business on shorthand
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
