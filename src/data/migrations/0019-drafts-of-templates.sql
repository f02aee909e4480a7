-- What a member is writing of a template's next version: letters use the version before until it is kept.
create table template_draft (
  business_id uuid not null references business on delete cascade,
  template_id uuid not null,
  member_id uuid not null,
  -- the version it was begun from
  version integer not null,
  text text not null,
  kept_at timestamptz not null,
  primary key (business_id, template_id, member_id),
  foreign key (business_id, template_id) references template on delete cascade,
  foreign key (business_id, member_id) references member on delete cascade
);

alter table template_draft enable row level security;
create policy own_business on template_draft
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
