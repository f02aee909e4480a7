-- Whose an address, a number or a name is that stands in a letter, however many clients there are.
create index client_of_email on client (business_id, lower(email)) where email is not null;
create index client_of_phone on client (business_id, digits(phone)) where phone is not null;
create index client_of_mobile on client (business_id, digits(mobile)) where mobile is not null;
create index client_of_street on client (business_id, lower(address #>> '{street,0}')) where address is not null;
create index contact_of_name on contact (business_id, lower(given_name || ' ' || family_name))
  where given_name is not null and family_name is not null;
create index contact_of_phone on contact (business_id, digits(phone)) where phone is not null;
create index contact_of_mobile on contact (business_id, digits(mobile)) where mobile is not null;
