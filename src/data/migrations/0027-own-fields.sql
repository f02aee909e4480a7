-- What helps to write a business's own field.
alter table custom_field add column help text check (help <> '');
