-- Mailboxes at a provider that are read (IMAP): one of the business, and, where a member wants it, one of their own.
create table mailbox (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  -- whose it is; null: everybody's
  member_id uuid,
  host text not null check (host <> ''),
  port integer not null check (port between 1 and 65535),
  security text not null check (security in ('tls', 'starttls', 'none')),
  sign_in text not null check (sign_in in ('password', 'provider')),
  user_name text not null,
  -- sealed: the key is not in the database
  secret bytea not null,
  -- where its provider signs people in, and as what it knows this application
  provider jsonb,
  -- where lies what its owner has written; null: where the server says
  sent_folder text,
  -- what came before that day is left
  since date not null,
  version integer not null default 1,
  -- which process reads it, and until when nobody else does
  read_by uuid,
  read_until timestamptz not null default '-infinity',
  -- when it was looked into last; since when it cannot be, and why, in words
  read_at timestamptz,
  trouble_since timestamptz,
  trouble text,
  -- so many messages could not be taken in
  left_out integer not null default 0,
  primary key (business_id, id),
  unique nulls not distinct (business_id, member_id),
  foreign key (business_id, member_id) references member on delete cascade,
  check ((sign_in = 'provider') = (provider is not null)),
  check ((trouble_since is null) = (trouble is null))
);
alter table mailbox enable row level security;
create policy own_business on mailbox
  using (business_id = (select business_at_work()) or (select every_business_at_work()));

-- How far a folder of one has been read (RFC 3501, 2.3.1.1).
create table mailbox_folder (
  business_id uuid not null,
  mailbox_id uuid not null,
  path text not null,
  uid_validity bigint not null,
  next_uid bigint not null,
  primary key (business_id, mailbox_id, path),
  foreign key (business_id, mailbox_id) references mailbox on delete cascade
);
alter table mailbox_folder enable row level security;
create policy own_business on mailbox_folder
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
