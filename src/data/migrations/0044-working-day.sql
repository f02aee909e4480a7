-- The hours within which visits are made: whether somebody has room on a day is told by them.
alter table work_ways
  add column day_from time not null default '08:00',
  add column day_until time not null default '18:00',
  add constraint day_has_hours check (day_from < day_until);
