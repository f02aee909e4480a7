-- Files that were brought in for one letter, until it has them: what is not sent is swept away after a while.
create table letter_file (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  member_id uuid not null,
  name text not null check (name <> '' and name !~ '[/\\[:cntrl:]]'),
  sha256 sha256_hex not null,
  size integer not null check (size > 0),
  preview sha256_hex,
  brought_at timestamptz not null,
  primary key (business_id, id),
  foreign key (business_id, member_id) references member on delete cascade,
  foreign key (business_id, sha256) references file,
  foreign key (business_id, preview) references file
);
create unique index letter_file_once on letter_file (business_id, member_id, sha256, name);
create index letter_file_of_content on letter_file (business_id, sha256);
create index letter_file_of_preview on letter_file (business_id, preview);
create index letter_file_brought on letter_file (brought_at);

alter table letter_file enable row level security;
create policy own_business on letter_file
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
