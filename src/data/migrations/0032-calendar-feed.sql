-- A calendar of a business that a member's own calendar reads, under an address that only they know. Nothing there: none.
create table calendar_feed (
  business_id uuid not null,
  member_id uuid not null,
  token text not null unique check (length(token) between 20 and 64),
  made_at timestamptz not null,
  -- when somebody last read it
  read_at timestamptz,
  primary key (business_id, member_id),
  foreign key (business_id, member_id) references member on delete cascade
);
alter table calendar_feed enable row level security;
create policy own_business on calendar_feed
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
