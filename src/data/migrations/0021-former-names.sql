-- What was written with a name that something had before still means it: a draft, words on a device, a file.
alter table passage add column former_names text[] not null default '{}';
alter table signature add column former_names text[] not null default '{}';
alter table template_group add column former_names text[] not null default '{}';

create function remember_former_name() returns trigger language plpgsql as $$
begin
  if new.name <> old.name then
    new.former_names := array_append(array_remove(array_remove(old.former_names, old.name), new.name), old.name);
  end if;
  return new;
end $$;

create trigger former_name before update of name on passage for each row execute function remember_former_name();
create trigger former_name before update of name on signature for each row execute function remember_former_name();
create trigger former_name before update of name on template_group for each row execute function remember_former_name();
