-- A form for the business's own site: closed until its owner opens it.
create table enquiry_form (
  business_id uuid primary key references business on delete cascade,
  -- its address; another one ends the one before
  token text not null unique check (length(token) between 16 and 64),
  -- signs the time at which a form was given out
  secret text not null,
  is_open boolean not null default false,
  intro text,
  asks_service boolean not null default true,
  -- the sites that may have it in a frame, each an origin
  sites text[] not null default '{}',
  -- the passage that is said afterwards
  passage_id uuid,
  version integer not null default 1,
  foreign key (business_id, passage_id) references passage on delete set null (passage_id)
);
alter table enquiry_form enable row level security;
create policy own_business on enquiry_form
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
