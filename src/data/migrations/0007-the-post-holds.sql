-- A letter that may have arrived is neither sent nor failed: only a person can find out.
alter table message drop constraint message_status_check, add constraint message_status_check check (status in
  ('draft', 'held', 'going', 'sent', 'delivered', 'opened', 'bounced', 'failed', 'may have arrived', 'taken back', 'received'));
alter table delivery_event drop constraint delivery_event_kind_check, add constraint delivery_event_kind_check check (kind in
  ('held', 'going', 'sent', 'delivered', 'opened', 'bounced', 'failed', 'may have arrived', 'taken back'));
update message set status = 'may have arrived' where status = 'failed' and handed_over_at is not null
  and reason like 'The sending was interrupted%';

alter table message
  -- the worker that speaks to the server about it; its hold ends when it is not seen any more
  add column claimed_by uuid,
  -- somebody has seen to what went wrong with it
  add column settled_at timestamptz,
  add column settled_by uuid,
  add constraint message_settled_by_fkey foreign key (business_id, settled_by) references member,
  add constraint settled_by_somebody check ((settled_at is null) = (settled_by is null));
create index message_needs_somebody on message (business_id, at desc)
  where status in ('held', 'failed', 'bounced', 'may have arrived') and settled_at is null;

-- A letter is claimed, begun and ended within a moment: its row stays narrow, and has room beside it for its next state.
alter table message set (fillfactor = 60, toast_tuple_target = 256);

-- Hours after which a letter that should have gone waits for a person instead.
alter table business add column hold_after_hours smallint not null default 6 check (hold_after_hours between 1 and 240);

-- Who sends. One that has not been seen for a while holds no letter any more.
create table worker (
  id uuid primary key,
  seen_at timestamptz not null default now()
);

-- Why letters wait, though their time has come: the server takes none, or none from a sender.
create table sending_trouble (
  -- lower case; empty: from nobody
  sender text primary key,
  words text not null,
  since timestamptz not null default now(),
  tries integer not null default 1,
  -- when a letter is tried next, to see whether it is over
  again_at timestamptz not null
);

-- Tells a database from its copies: a copy must not send what its original sends.
create table own_mark (
  single boolean primary key default true check (single),
  mark text not null
);

-- Which database this is. Restored from a dump, into itself too, or on another machine it is another.
create function present_mark(machine text) returns text language sql volatile as $$
  select (select system_identifier from pg_control_system()) || '/'
    || (select oid from pg_database where datname = current_database()) || '/'
    || 'own_mark'::regclass::oid || '/' || machine
$$;
