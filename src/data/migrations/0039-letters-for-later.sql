-- A letter for later keeps what it was written with: at its hour it is filled again before it goes.
alter table message drop constraint message_status_check, add constraint message_status_check check (status in
  ('draft', 'held', 'later', 'going', 'sent', 'delivered', 'opened', 'bounced', 'failed', 'may have arrived', 'taken back', 'received'));
alter table delivery_event drop constraint delivery_event_kind_check, add constraint delivery_event_kind_check check (kind in
  ('held', 'later', 'going', 'sent', 'delivered', 'opened', 'bounced', 'failed', 'may have arrived', 'taken back'));
alter table message
  drop constraint going_has_its_time,
  drop constraint going_has_a_sender,
  add constraint going_has_its_time check ((status in ('going', 'later')) = (goes_at is not null)),
  add constraint going_has_a_sender check (status not in ('going', 'later') or from_address is not null);

create index message_for_later on message (goes_at) where status = 'later';

create table letter_for_later (
  business_id uuid not null references business on delete cascade,
  message_id uuid not null,
  starting_kind text not null,
  starting_key text not null,
  template_version integer not null,
  -- the page as its writer left it, and as it was filled before that
  document jsonb not null,
  base jsonb not null,
  facts jsonb not null,
  primary key (business_id, message_id),
  foreign key (business_id, message_id) references message on delete cascade
);

alter table letter_for_later enable row level security;
create policy own_business on letter_for_later
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
