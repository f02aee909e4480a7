-- Who wants a letter each morning with what waits, and at which hour where the business is.
create table morning_letter (
  business_id uuid not null references business on delete cascade,
  member_id uuid not null,
  hour smallint not null check (hour between 0 and 23),
  -- the day of the last one, or of the last that was not needed
  last_on date,
  -- when one that could not be handed over is tried again
  again_at timestamptz not null default '-infinity',
  primary key (business_id, member_id),
  foreign key (business_id, member_id) references member on delete cascade
);
alter table morning_letter enable row level security;
create policy own_business on morning_letter
  using (business_id = (select business_at_work()) or (select every_business_at_work()));
