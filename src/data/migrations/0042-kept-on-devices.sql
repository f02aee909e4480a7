-- So many days what was seen last stays on a member's device, for when there is no connection; 0: nothing does.
alter table business
  add column device_days integer not null default 7 check (device_days between 0 and 60);
