-- What comes in: each message once, its original kept as it came, and what is known of it.

alter table message
  -- what somebody had before them when they wrote, apart from their own words
  add column quoted text,
  -- the message that it answers, theirs or ours
  add column answers uuid,
  add constraint message_answers_fkey foreign key (business_id, answers) references message
    on delete set null (answers) deferrable initially deferred,
  add column came_as text check (came_as in ('answer', 'out of office', 'automatic', 'other'));
update message set came_as = 'answer' where direction = 'in';
alter table message add constraint comes_as_something check ((direction = 'in') = (came_as is not null));
create index message_answering on message (business_id, answers) where answers is not null;
-- Written by a person, and nobody has seen to it.
create index message_waits on message (business_id, at desc)
  where direction = 'in' and settled_at is null and came_as in ('answer', 'other');

create table incoming (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  -- what tells it from any other: its Message-ID with its sender, or the sum of all of it
  mark text not null check (mark <> ''),
  -- the original, as it came
  sha256 sha256_hex not null,
  came_at timestamptz not null,
  -- by what it is known to be about a letter, and which
  sign text check (sign in ('reply mark', 'returned message', 'in reply to', 'references', 'address')),
  letter_id uuid,
  -- the message that it has become; none where it tells what became of a letter
  message_id uuid,
  -- what was too much to be taken, in words
  notes text[] not null default '{}',
  primary key (business_id, id),
  unique (business_id, mark),
  foreign key (business_id, sha256) references file,
  foreign key (business_id, letter_id) references message on delete set null (letter_id),
  foreign key (business_id, message_id) references message on delete set null (message_id)
);
create index incoming_of_content on incoming (business_id, sha256);
create index incoming_about_letter on incoming (business_id, letter_id) where letter_id is not null;
create index incoming_as_message on incoming (business_id, message_id) where message_id is not null;
alter table incoming enable row level security;
create policy own_business on incoming
  using (business_id = (select business_at_work()) or (select every_business_at_work()));

-- A server may say that it still tries.
alter table delivery_event drop constraint delivery_event_kind_check, add constraint delivery_event_kind_check check (kind in
  ('held', 'later', 'going', 'sent', 'delivered', 'opened', 'bounced', 'failed', 'may have arrived', 'taken back', 'delayed'));

-- Whether letters say, in the address to which they are answered, which one is answered: mail to it must come in here.
alter table business add column marks_replies boolean not null default false;

-- Whether letters have a small picture in them that tells when it is shown.
alter table business add column asks_opened boolean not null default false;

-- Whose an address is, of all businesses; a member's is one's alone.
create index business_by_address on business (lower(email));

-- Refused for now so often that somebody is told (core/cures).
create index message_tried_long on message (business_id, at desc) where status = 'going' and tries >= 8;

-- Whoever has a page of letters open hears that something has become of one: told is the business, at the end of the transaction.
create function tell_of_letters() returns trigger language plpgsql as $$
begin
  if tg_op = 'INSERT' then
    perform pg_notify('letters', business_id::text) from (select distinct business_id from added) one;
  else
    perform pg_notify('letters', business_id::text) from (
      select distinct business_id from added join removed using (business_id, id)
      where (added.status, added.settled_at, added.member_id, added.client_id)
        is distinct from (removed.status, removed.settled_at, removed.member_id, removed.client_id)) one;
  end if;
  return null;
end $$;
create trigger letters_tell_new after insert on message
  referencing new table as added for each statement execute function tell_of_letters();
create trigger letters_tell_changed after update on message
  referencing new table as added old table as removed for each statement execute function tell_of_letters();

-- What came from somebody in no record becomes theirs when there is one.
create index message_of_nobody on message (business_id, lower(from_address)) where direction = 'in' and client_id is null;

-- What comes in may be long and full of words that no letter has: a tsvector holds a megabyte of them, so that of words that are many bytes
-- fewer are taken.
create or replace view letters_in_words with (security_invoker = true) as
  select message.business_id, message.id as message_id, message.at,
    to_tsvector(words_config(business.locale), said.words) || to_tsvector('simple', said.words) as words
  from message
  join business on business.id = message.business_id
  left join client on client.business_id = message.business_id and client.id = message.client_id,
  lateral (select concat_ws(' ', subject, client.name, from_name, from_address,
      (select string_agg(one.name || ' ' || one.address, ' ') from message_recipient one
        where one.business_id = message.business_id and one.message_id = message.id), text) as whole offset 0) written,
  lateral (select search_words(left(written.whole,
      case when octet_length(written.whole) > 200000 then 50000 else 400000 end)) as whole offset 0) read,
  lateral (select read.whole || regexp_replace(read.whole, '[^[:alnum:] ]+', ' ', 'g') as words offset 0) said
  where message.status <> 'draft';
