-- Letters that somebody has begun, so that they go on on another device: each is its writer's alone.
create table draft (
  business_id uuid not null references business on delete cascade,
  -- the letter's, from the moment writing begins
  id uuid not null,
  member_id uuid not null,
  starting_kind text not null,
  starting_key text not null,
  -- what was decided and the page; and as it was filled then: as written, since devices compare them word for word
  letter json not null,
  base json not null,
  -- whom it is to and from which template, for a list
  name text not null,
  template text not null,
  version integer not null default 1,
  -- which device wrote it last: what it was told of that may have been lost on the way back
  device uuid not null,
  kept_at timestamptz not null,
  primary key (business_id, id),
  foreign key (business_id, member_id) references member on delete cascade
);
create index draft_of_member on draft (business_id, member_id, starting_kind, starting_key);
create index draft_kept on draft (kept_at);

alter table draft enable row level security;
create policy own_business on draft
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
