-- A client who asked for no letters: since when, and who noted it.
alter table client add column no_letters_since date, add column no_letters_by_id uuid,
  add foreign key (business_id, no_letters_by_id) references member;
