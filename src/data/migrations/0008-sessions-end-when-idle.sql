alter table session add column seen_at timestamptz not null default now();
-- Days without use after which a device is signed out.
alter table business add column idle_days smallint not null default 14 check (idle_days between 1 and 30);
