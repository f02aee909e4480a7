-- A client that was there twice: what came from which of the two, so that it can be undone for a day.
create table merged_client (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  client_id uuid not null,
  -- the one that went: its row, and that of the one that stayed as it was before
  gone jsonb not null,
  before jsonb not null,
  -- the version of the one that stayed right after
  version integer not null,
  -- what was moved: {"rows": {"booking": ["<id>"]}, "parts": {"contact": [{"id": "…", "key": "…", "position": 0}]}}
  moved jsonb not null,
  member_id uuid not null,
  merged_at timestamptz not null,
  primary key (business_id, id),
  foreign key (business_id, client_id) references client on delete cascade,
  foreign key (business_id, member_id) references member on delete cascade
);
create index merged_client_of on merged_client (business_id, client_id, merged_at);
alter table merged_client enable row level security;
create policy own_business on merged_client
  using (business_id = (select business_at_work()) or (select every_business_at_work()));

-- Whose something is changes together with whose what hangs on it is: asked at the end, where a transaction says so.
alter table booking alter constraint booking_business_id_client_id_project_id_fkey deferrable;
alter table invoice alter constraint invoice_business_id_client_id_project_id_fkey deferrable;
alter table project_contact alter constraint project_contact_business_id_client_id_project_id_fkey deferrable;
alter table project_contact alter constraint project_contact_business_id_client_id_contact_id_fkey deferrable;
alter table booking_item alter constraint booking_item_business_id_client_id_booking_id_fkey deferrable;
alter table booking_item alter constraint booking_item_business_id_client_id_item_id_fkey deferrable;
