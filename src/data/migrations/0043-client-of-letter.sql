-- A letter to an address that was in no record makes its client; taken back before it goes, it takes the client along.
alter table message
  add column made_client boolean not null default false;

-- Whoever has asked already is not written to as somebody new.
create index enquiry_of_email on enquiry (business_id, lower(email)) where client_id is null and email is not null;
