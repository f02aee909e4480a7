-- How far a new business is with setting up: its steps, each done or skipped; null where there is nothing left to be told.
alter table business add column set_up jsonb;
