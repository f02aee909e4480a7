-- The whole ground: one business, its people, records, templates and letters.
-- Every table but `business` has business_id in its key, so that no row can point at another business's row.

create extension if not exists pg_trgm;

create domain record_key as text check (value <> '' and length(value) <= 100);
create domain email_address as text check (value ~ '^[^\s@<>,;]+@[^\s@<>,;]+$' and length(value) <= 254);
create domain currency_code as text check (value ~ '^[A-Z]{3}$');
create domain tint as text check (value in ('madder', 'ochre', 'moss', 'verdigris', 'iris', 'slate'));
create domain sha256_hex as text check (value ~ '^[0-9a-f]{64}$');

create table business (
  id uuid primary key,
  key record_key not null unique,
  name text not null check (name <> ''),
  legal_name text,
  address jsonb,
  phone text,
  email email_address,
  website text,
  logo sha256_hex,
  payment_details text,
  locale text not null default 'en-GB',
  time_zone text not null default 'Europe/London',
  currency currency_code not null default 'GBP',
  hour_cycle smallint not null default 24 check (hour_cycle in (12, 24)),
  working_days smallint[] not null default '{1,2,3,4,5}' check (working_days <@ '{1,2,3,4,5,6,7}'::smallint[]),
  holidays date[] not null default '{}',
  item_label text not null default 'item',
  custom jsonb not null default '{}',
  version integer not null default 1
);

create table custom_field (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  record text not null check (record in ('business', 'member', 'client', 'partner', 'item', 'project', 'booking', 'invoice')),
  key text not null check (key ~ '^[a-z][a-z0-9_]*$'),
  label text not null check (label <> ''),
  type text not null check (type in ('text', 'long text', 'number', 'money', 'date', 'moment', 'yes/no', 'choice')),
  choices text[],
  position integer not null,
  primary key (business_id, id),
  unique (business_id, record, key),
  check ((type = 'choice') = (choices is not null))
);

-- A custom value must be one that the business defined, and of its type.
create function custom_values_fit() returns trigger language plpgsql as $$
declare
  entry record;
  field record;
  owner uuid;
begin
  owner := case when tg_table_name = 'business' then (to_jsonb(new) ->> 'id')::uuid else (to_jsonb(new) ->> 'business_id')::uuid end;
  for entry in select key, value from jsonb_each(new.custom) loop
    select type, choices into field from custom_field
      where business_id = owner and record = tg_table_name and key = entry.key;
    if not found then
      raise exception 'there is no custom field "%" on a %', entry.key, tg_table_name using errcode = 'check_violation';
    end if;
    if jsonb_typeof(entry.value) = 'null' then continue; end if;
    if not (case field.type
        when 'number' then jsonb_typeof(entry.value) = 'number'
        when 'yes/no' then jsonb_typeof(entry.value) = 'boolean'
        when 'money' then jsonb_typeof(entry.value -> 'money') = 'number'
        when 'date' then entry.value #>> '{}' ~ '^\d{4}-\d\d-\d\d$'
        when 'moment' then entry.value #>> '{}' ~ '^\d{4}-\d\d-\d\dT'
        when 'choice' then entry.value #>> '{}' = any (field.choices)
        else jsonb_typeof(entry.value) = 'string'
      end) then
      raise exception 'custom field "%" of a % must be %', entry.key, tg_table_name, field.type using errcode = 'check_violation';
    end if;
  end loop;
  return new;
end $$;

create table member (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  key record_key not null,
  given_name text,
  family_name text,
  full_name text not null check (full_name <> ''),
  title text,
  phone text,
  mobile text,
  email email_address not null,
  picture sha256_hex,
  role text not null default 'member' check (role in ('owner', 'member')),
  password_hash text not null,
  custom jsonb not null default '{}',
  version integer not null default 1,
  primary key (business_id, id),
  unique (business_id, key)
);
-- One address signs in to one business.
create unique index member_signs_in_by on member (lower(email));

create table session (
  business_id uuid not null,
  id uuid not null,
  member_id uuid not null,
  token_hash sha256_hex not null unique,
  created_at timestamptz not null default now(),
  expires_at timestamptz not null,
  revoked_at timestamptz,
  primary key (business_id, id),
  foreign key (business_id, member_id) references member on delete cascade,
  check (expires_at > created_at)
);
create index session_of_member on session (business_id, member_id);
create index session_expiry on session (expires_at);

create table sign_in_attempt (
  id bigint generated always as identity primary key,
  subject text not null,
  at timestamptz not null default now()
);
create index sign_in_attempt_lately on sign_in_attempt (subject, at);

create table partner (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  key record_key not null,
  name text not null check (name <> ''),
  trade text,
  given_name text,
  family_name text,
  email email_address,
  phone text,
  address jsonb,
  custom jsonb not null default '{}',
  version integer not null default 1,
  primary key (business_id, id),
  unique (business_id, key)
);

create table client (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  key record_key not null,
  kind text not null default 'person' check (kind in ('person', 'household', 'organisation')),
  name text not null check (name <> ''),
  given_name text,
  family_name text,
  preferred_name text,
  honorific text,
  email email_address,
  phone text,
  mobile text,
  address jsonb,
  billing_address jsonb,
  language text,
  tags text[] not null default '{}',
  since date,
  source text,
  notes text,
  responsible_id uuid,
  custom jsonb not null default '{}',
  version integer not null default 1,
  primary key (business_id, id),
  unique (business_id, key),
  foreign key (business_id, responsible_id) references member
);
create index client_by_name on client (business_id, name);
create index client_search on client using gin ((coalesce(name, '') || ' ' || coalesce(email, '')) gin_trgm_ops);

create table contact (
  business_id uuid not null,
  id uuid not null,
  client_id uuid not null,
  key record_key not null,
  position integer not null,
  given_name text,
  family_name text,
  preferred_name text,
  honorific text,
  role text,
  email email_address,
  phone text,
  mobile text,
  uses text[] not null default '{}'
    check (uses <@ '{main,invoices,bookings,"copy of invoices","copy of bookings"}'::text[]),
  primary key (business_id, id),
  unique (business_id, client_id, id),
  unique (business_id, client_id, key),
  foreign key (business_id, client_id) references client on delete cascade,
  check (coalesce(given_name, family_name, preferred_name) is not null)
);
create index contact_by_email on contact (business_id, lower(email));

create table item (
  business_id uuid not null,
  id uuid not null,
  client_id uuid not null,
  key record_key not null,
  position integer not null,
  name text not null check (name <> ''),
  kind text,
  notes text,
  custom jsonb not null default '{}',
  primary key (business_id, id),
  unique (business_id, client_id, id),
  unique (business_id, client_id, key),
  foreign key (business_id, client_id) references client on delete cascade
);

create table project (
  business_id uuid not null,
  id uuid not null,
  key record_key not null,
  client_id uuid not null,
  title text not null check (title <> ''),
  status text not null check (status in ('enquiry', 'planned', 'active', 'finished', 'cancelled')),
  location jsonb,
  starts_on date,
  ends_on date,
  value bigint check (value >= 0),
  notes text,
  responsible_id uuid,
  custom jsonb not null default '{}',
  version integer not null default 1,
  primary key (business_id, id),
  unique (business_id, client_id, id),
  unique (business_id, key),
  foreign key (business_id, client_id) references client,
  foreign key (business_id, responsible_id) references member,
  check (ends_on >= starts_on)
);
create index project_by_start on project (business_id, status, starts_on);

create table project_contact (
  business_id uuid not null,
  project_id uuid not null,
  client_id uuid not null,
  contact_id uuid not null,
  position integer not null,
  primary key (business_id, project_id, contact_id),
  foreign key (business_id, client_id, project_id) references project (business_id, client_id, id) on delete cascade,
  foreign key (business_id, client_id, contact_id) references contact (business_id, client_id, id) on delete cascade
);

create table project_partner (
  business_id uuid not null,
  project_id uuid not null,
  partner_id uuid not null,
  position integer not null,
  primary key (business_id, project_id, partner_id),
  foreign key (business_id, project_id) references project on delete cascade,
  foreign key (business_id, partner_id) references partner on delete cascade
);

create table enquiry (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  key record_key not null,
  client_id uuid,
  received_at timestamptz not null,
  via text,
  name text,
  email email_address,
  phone text,
  message text,
  service text,
  wanted_on date[] not null default '{}',
  status text not null check (status in ('waiting', 'answered', 'became work', 'closed')),
  version integer not null default 1,
  primary key (business_id, id),
  unique (business_id, key),
  foreign key (business_id, client_id) references client,
  check (client_id is not null or name is not null or email is not null)
);
create index enquiry_waiting on enquiry (business_id, status, received_at);
create index enquiry_of_client on enquiry (business_id, client_id);

create table booking (
  business_id uuid not null,
  id uuid not null,
  key record_key not null,
  client_id uuid not null,
  project_id uuid,
  member_id uuid,
  service text not null check (service <> ''),
  status text not null check (status in ('tentative', 'confirmed', 'done', 'cancelled', 'missed')),
  starts_at timestamptz not null,
  ends_at timestamptz not null,
  location jsonb,
  price bigint check (price >= 0),
  notes text,
  custom jsonb not null default '{}',
  version integer not null default 1,
  primary key (business_id, id),
  unique (business_id, client_id, id),
  unique (business_id, key),
  foreign key (business_id, client_id) references client,
  -- A visit's project is its own client's.
  foreign key (business_id, client_id, project_id) references project (business_id, client_id, id),
  foreign key (business_id, member_id) references member,
  check (ends_at > starts_at)
);
create index booking_by_start on booking (business_id, starts_at);
create index booking_of_client on booking (business_id, client_id, starts_at);
create index booking_of_project on booking (business_id, project_id, starts_at);

create table booking_item (
  business_id uuid not null,
  booking_id uuid not null,
  client_id uuid not null,
  item_id uuid not null,
  position integer not null,
  primary key (business_id, booking_id, item_id),
  foreign key (business_id, client_id, booking_id) references booking (business_id, client_id, id) on delete cascade,
  foreign key (business_id, client_id, item_id) references item (business_id, client_id, id) on delete cascade
);

create table invoice (
  business_id uuid not null,
  id uuid not null,
  key record_key not null,
  number text not null check (number <> ''),
  client_id uuid not null,
  project_id uuid,
  issued_on date,
  due_on date,
  status text not null check (status in ('draft', 'sent', 'void')),
  bill_to jsonb,
  pay_link text check (pay_link ~ '^https?://'),
  notes text,
  custom jsonb not null default '{}',
  version integer not null default 1,
  primary key (business_id, id),
  unique (business_id, key),
  unique (business_id, number),
  foreign key (business_id, client_id) references client,
  foreign key (business_id, client_id, project_id) references project (business_id, client_id, id),
  check (status = 'draft' or issued_on is not null),
  check (due_on >= issued_on)
);
create index invoice_by_due on invoice (business_id, status, due_on);
create index invoice_of_client on invoice (business_id, client_id, issued_on);
create index invoice_of_project on invoice (business_id, project_id, issued_on);

create table invoice_line (
  business_id uuid not null,
  invoice_id uuid not null,
  position integer not null,
  description text,
  quantity numeric,
  unit_price bigint,
  tax_rate numeric check (tax_rate >= 0),
  discount numeric check (discount between 0 and 100),
  primary key (business_id, invoice_id, position),
  foreign key (business_id, invoice_id) references invoice on delete cascade
);

create table payment (
  business_id uuid not null,
  invoice_id uuid not null,
  position integer not null,
  paid_on date not null,
  amount bigint not null check (amount <> 0),
  method text,
  reference text,
  primary key (business_id, invoice_id, position),
  foreign key (business_id, invoice_id) references invoice on delete cascade
);

create table instalment (
  business_id uuid not null,
  invoice_id uuid not null,
  position integer not null,
  due_on date not null,
  amount bigint not null check (amount > 0),
  primary key (business_id, invoice_id, position),
  foreign key (business_id, invoice_id) references invoice on delete cascade
);

create table template_group (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  key record_key not null,
  name text not null check (name <> ''),
  initial text not null check (length(initial) between 1 and 2),
  tint tint not null,
  position integer not null,
  version integer not null default 1,
  primary key (business_id, id),
  unique (business_id, key)
);
create unique index template_group_name on template_group (business_id, lower(name));

create table template (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  key record_key not null,
  group_id uuid,
  -- null: everyone's
  owner_id uuid,
  name text not null check (name <> ''),
  starts_from text not null check (starts_from in ('client', 'enquiry', 'project', 'booking', 'invoice')),
  resting boolean not null default false,
  position integer not null,
  current_version integer not null,
  deleted_at timestamptz,
  primary key (business_id, id),
  unique (business_id, key),
  foreign key (business_id, group_id) references template_group,
  foreign key (business_id, owner_id) references member
);
create unique index template_name on template (business_id, lower(name)) where deleted_at is null;
create index template_in_group on template (business_id, group_id, position);

create table template_version (
  business_id uuid not null,
  template_id uuid not null,
  version integer not null check (version > 0),
  head jsonb not null,
  document jsonb not null check (document ->> 'type' = 'doc'),
  document_schema smallint not null,
  member_id uuid,
  kept_at timestamptz not null default now(),
  primary key (business_id, template_id, version),
  foreign key (business_id, template_id) references template on delete cascade,
  foreign key (business_id, member_id) references member
);
alter table template add constraint template_has_its_version
  foreign key (business_id, id, current_version) references template_version (business_id, template_id, version)
  deferrable initially deferred;

create table passage (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  key record_key not null,
  group_id uuid,
  name text not null check (name <> ''),
  document jsonb not null check (document ->> 'type' = 'doc'),
  document_schema smallint not null,
  version integer not null default 1,
  primary key (business_id, id),
  unique (business_id, key),
  unique (business_id, name),
  foreign key (business_id, group_id) references template_group
);

create table signature (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  -- null: the house signature
  member_id uuid,
  name text not null check (name <> ''),
  text text not null,
  is_default boolean not null default false,
  primary key (business_id, id),
  unique (business_id, name),
  foreign key (business_id, member_id) references member on delete cascade
);
create unique index signature_default on signature (business_id, member_id) where is_default;
create unique index signature_house on signature (business_id) where member_id is null;

create table link (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  key text not null check (key ~ '^[a-z][a-z0-9_]*$'),
  name text not null check (name <> ''),
  address text not null check (address ~ '^https?://'),
  position integer not null,
  primary key (business_id, id),
  unique (business_id, key)
);

create table file (
  business_id uuid not null references business on delete cascade,
  sha256 sha256_hex not null,
  media_type text not null,
  size integer not null check (size >= 0),
  content bytea not null,
  primary key (business_id, sha256),
  check (length(content) = size),
  check (encode(sha256(content), 'hex') = sha256)
);

create table record_file (
  business_id uuid not null,
  id uuid not null,
  sha256 sha256_hex not null,
  name text not null check (name <> '' and name !~ '[/\\[:cntrl:]]'),
  client_id uuid,
  project_id uuid,
  position integer not null,
  primary key (business_id, id),
  foreign key (business_id, sha256) references file,
  foreign key (business_id, client_id) references client on delete cascade,
  foreign key (business_id, project_id) references project on delete cascade,
  check (num_nonnulls(client_id, project_id) = 1)
);

create table message (
  business_id uuid not null references business on delete cascade,
  id uuid not null,
  -- the Message-ID without its brackets, made when writing begins
  message_id text not null check (message_id <> ''),
  direction text not null check (direction in ('out', 'in')),
  kind text not null default 'letter' check (kind in ('letter', 'text')),
  status text not null check (status in
    ('draft', 'held', 'going', 'sent', 'delivered', 'opened', 'bounced', 'failed', 'taken back', 'received')),
  reason text,
  thread_id uuid not null,
  subject text not null default '',
  text text not null default '',
  html text,
  client_id uuid,
  enquiry_id uuid,
  project_id uuid,
  booking_id uuid,
  invoice_id uuid,
  member_id uuid,
  template_id uuid,
  template_version integer,
  -- what each field said, as the notes of the fair copy
  notes jsonb not null default '[]',
  at timestamptz not null,
  version integer not null default 1,
  primary key (business_id, id),
  unique (business_id, message_id),
  foreign key (business_id, client_id) references client,
  foreign key (business_id, enquiry_id) references enquiry,
  foreign key (business_id, project_id) references project,
  foreign key (business_id, booking_id) references booking,
  foreign key (business_id, invoice_id) references invoice,
  foreign key (business_id, member_id) references member,
  foreign key (business_id, template_id, template_version) references template_version (business_id, template_id, version),
  check ((direction = 'in') = (status = 'received')),
  check ((template_id is null) = (template_version is null))
);
create index message_lately on message (business_id, at desc);
create index message_of_client on message (business_id, client_id, at desc);
create index message_in_thread on message (business_id, thread_id, at);
create index message_about_invoice on message (business_id, invoice_id, at desc) where invoice_id is not null;
create index message_about_booking on message (business_id, booking_id, at desc) where booking_id is not null;
create index message_about_project on message (business_id, project_id, at desc) where project_id is not null;

create table message_recipient (
  business_id uuid not null,
  message_id uuid not null,
  position integer not null,
  role text not null check (role in ('to', 'copy', 'blind copy')),
  name text not null default '',
  address text not null check (address <> ''),
  contact_id uuid,
  primary key (business_id, message_id, position),
  foreign key (business_id, message_id) references message on delete cascade
);
create index message_recipient_address on message_recipient (business_id, lower(address));

create table delivery_event (
  business_id uuid not null,
  message_id uuid not null,
  position integer not null,
  kind text not null check (kind in ('held', 'going', 'sent', 'delivered', 'opened', 'bounced', 'failed', 'taken back')),
  at timestamptz not null,
  detail text,
  primary key (business_id, message_id, position),
  foreign key (business_id, message_id) references message on delete cascade
);

do $$
declare name text;
begin
  foreach name in array array['business', 'member', 'client', 'partner', 'item', 'project', 'booking', 'invoice'] loop
    execute format('create trigger %I before insert or update of custom on %I for each row execute function custom_values_fit()', name || '_custom_fits', name);
  end loop;
end $$;
