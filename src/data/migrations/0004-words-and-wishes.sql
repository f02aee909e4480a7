-- What the business calls a booking, as item_label is what it calls an item.
alter table business add column booking_label text not null default 'visit' check (booking_label <> '');
