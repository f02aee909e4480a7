-- Days that a letter offers are kept free for its reader until a day that it names.
create table held_day (
  business_id uuid not null references business on delete cascade,
  message_id uuid not null,
  day date not null,
  until date not null,
  -- somebody has decided to keep it free no longer
  let_go boolean not null default false,
  primary key (business_id, message_id, day),
  foreign key (business_id, message_id) references message on delete cascade,
  constraint held_until_before check (until < day)
);
create index held_day_day on held_day (business_id, day);

alter table held_day enable row level security;
create policy own_business on held_day
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
