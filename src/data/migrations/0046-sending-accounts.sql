-- By which server letters leave: one for the business, and, where a member wants it, one of their own. Where there is none
-- it is the one that the application was started with.

create table sending_account (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  -- whose letters leave by it; null: those of everybody who has none
  member_id uuid,
  host text not null check (host <> ''),
  port integer not null check (port between 1 and 65535),
  -- TLS from the start, after the greeting (STARTTLS), or none at all
  security text not null check (security in ('tls', 'starttls', 'none')),
  sign_in text not null check (sign_in in ('none', 'password')),
  user_name text,
  -- sealed: the key is not in the database
  secret bytea,
  -- where what comes back goes, where that is not the address that a letter is from
  envelope_address email_address,
  -- no more than so many in any such time
  most integer check (most between 1 and 100000),
  per text check (per in ('minute', 'hour', 'day')),
  -- when as many as may go at once may go again
  full_at timestamptz not null default now(),
  version integer not null default 1,
  primary key (business_id, id),
  unique nulls not distinct (business_id, member_id),
  foreign key (business_id, member_id) references member on delete cascade,
  check ((sign_in = 'none') = (secret is null)),
  check ((sign_in = 'none') = (user_name is null)),
  check ((most is null) = (per is null))
);
alter table sending_account enable row level security;
create policy own_business on sending_account
  using (business_id = (select business_at_work()) or (select every_business_at_work()));

-- With what letters are signed (DKIM, RFC 6376) that come from a domain.
create table signing_key (
  business_id uuid not null references business on delete cascade,
  domain text not null check (domain = lower(domain) and domain <> ''),
  selector text not null check (selector <> ''),
  public_key text not null,
  -- sealed
  private_key bytea not null,
  -- when its line was seen where everybody finds it: until then nothing is signed
  seen_at timestamptz,
  primary key (business_id, domain)
);
alter table signing_key enable row level security;
create policy own_business on signing_key
  using (business_id = (select business_at_work()) or (select every_business_at_work()));

-- What one server takes none of says nothing of another.
alter table sending_trouble drop constraint sending_trouble_pkey,
  add column account_id uuid,
  add constraint sending_trouble_once unique nulls not distinct (account_id, sender);

-- Who has been written to is looked for by address without regard to case: row security uses no index on what a function
-- gives, unless that is kept (see also migrate.ts).
alter table message_recipient add column lower_address text generated always as (lower(address)) stored;
drop index message_recipient_address;
create index message_recipient_address on message_recipient (business_id, lower_address);

-- Most changes of a letter say nothing else: the words of none are looked for, which is planned anew each time.
create or replace function letters_follow() returns trigger language plpgsql as $$
declare which uuid[];
begin
  case tg_table_name
    when 'message' then
      if tg_op = 'INSERT' then which := array(select id from added);
      else which := array(select id from added join removed using (business_id, id)
        where (added.subject, added.text, added.at, added.client_id, added.from_name, added.from_address, added.status = 'draft')
          is distinct from (removed.subject, removed.text, removed.at, removed.client_id, removed.from_name,
            removed.from_address, removed.status = 'draft'));
      end if;
    when 'message_recipient' then which := array(select distinct message_id from added);
    when 'client' then
      which := array(select message.id from added join removed using (business_id, id)
        join message on message.business_id = added.business_id and message.client_id = added.id
        where added.name <> removed.name);
    when 'business' then
      which := array(select message.id from added join removed using (id)
        join message on message.business_id = added.id where added.locale is distinct from removed.locale);
  end case;
  if which <> '{}' then perform say_letters_again(which); end if;
  return null;
end $$;
