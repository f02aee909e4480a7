-- What the business calls a booking, as item_label is what it calls an item.
alter table business add column booking_label text not null default 'visit' check (booking_label <> '');

-- A sum beyond a thousand million of the currency's units is a slip, and lists could not add it up (core/money/currency).
alter table payment add constraint payment_in_bounds check (abs(amount) <= 100000000000);
alter table instalment add constraint instalment_in_bounds check (abs(amount) <= 100000000000);
alter table invoice_line add constraint price_in_bounds check (abs(unit_price) <= 100000000000),
  add constraint quantity_in_bounds check (abs(quantity) <= 1000000000);
alter table booking add constraint price_in_bounds check (abs(price) <= 100000000000);
alter table project add constraint value_in_bounds check (abs(value) <= 100000000000);

-- Days between one reminder of an invoice and the next letter about it.
alter table business add column reminder_spacing smallint not null default 7 check (reminder_spacing between 1 and 90);

-- Occasions that somebody has put off or does not want: core/occasions names each (occasionId).
create table occasion_rest (
  business_id uuid not null references business on delete cascade,
  occasion text not null check (occasion <> '' and length(occasion) <= 200),
  -- the day it stands on Today again; null: never
  until date,
  member_id uuid not null,
  at timestamptz not null default now(),
  primary key (business_id, occasion),
  foreign key (business_id, member_id) references member on delete cascade
);
