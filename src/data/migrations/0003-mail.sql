-- Where in its text a letter's signature begins, in UTF-16 units as the core counts them, and the language it is in
-- (BCP 47).
alter table message
  add column signature_at integer check (signature_at >= 0),
  add column language text check (language ~ '^[A-Za-z0-9-]{2,35}$');
