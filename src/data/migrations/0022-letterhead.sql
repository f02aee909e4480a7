-- What the house puts around every letter: a top and a foot, each written as templates are.
create table letterhead (
  business_id uuid not null references business on delete cascade,
  part text not null check (part in ('top', 'foot')),
  document jsonb not null,
  document_schema smallint not null,
  version integer not null default 1 check (version > 0),
  primary key (business_id, part)
);

alter table letterhead enable row level security;
create policy own_business on letterhead
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
