-- A letter to an address that was in no record makes its client; taken back before it goes, it takes the client along.
alter table message
  add column made_client boolean not null default false;
