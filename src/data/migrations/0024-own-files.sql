-- The business's own files, which templates name to go along with their letters.
create table own_file (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  name text not null check (name <> '' and name !~ '[/\\[:cntrl:]]'),
  sha256 sha256_hex not null,
  size integer not null check (size > 0),
  brought_at timestamptz not null,
  primary key (business_id, id),
  foreign key (business_id, sha256) references file
);
create unique index own_file_name on own_file (business_id, lower(name));

-- What goes along with a letter, by its content: another file under the same name changes no letter that was sent.
create table attachment (
  business_id uuid not null,
  message_id uuid not null,
  position integer not null,
  name text not null check (name <> '' and name !~ '[/\\[:cntrl:]]'),
  sha256 sha256_hex not null,
  primary key (business_id, message_id, position),
  foreign key (business_id, message_id) references message on delete cascade,
  foreign key (business_id, sha256) references file
);

alter table own_file enable row level security;
create policy own_business on own_file
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
alter table attachment enable row level security;
create policy own_business on attachment
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
