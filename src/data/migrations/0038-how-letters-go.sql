-- How long a letter can be taken back, and within how many days the same one to the same person is asked about.
alter table business
  add column take_back_seconds smallint not null default 10 check (take_back_seconds between 5 and 120),
  add column same_letter_days smallint not null default 7 check (same_letter_days between 1 and 90);
