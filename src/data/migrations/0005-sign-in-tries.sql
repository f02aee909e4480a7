-- A try counts before its password is looked at, by whom it is for and where it comes from.
alter table sign_in_attempt add column address text not null default 'unknown';
create index sign_in_attempt_from on sign_in_attempt (address, at);
