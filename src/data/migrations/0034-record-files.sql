-- Files of a client, or of a project, a visit or a thing of theirs; what is removed can be put back for a day.
alter table record_file
  add booking_id uuid,
  add item_id uuid,
  add size integer,
  -- a small picture of it, where it is one
  add preview sha256_hex,
  add brought_at timestamptz,
  add removed_at timestamptz;
alter table record_file drop constraint record_file_check;
update record_file set size = file.size, brought_at = now()
  from file where file.business_id = record_file.business_id and file.sha256 = record_file.sha256;
update record_file set client_id = project.client_id
  from project where project.business_id = record_file.business_id and project.id = record_file.project_id;
alter table record_file
  drop column position,
  drop constraint record_file_business_id_project_id_fkey,
  alter client_id set not null,
  alter size set not null,
  alter brought_at set not null,
  add check (num_nonnulls(project_id, booking_id, item_id) <= 1),
  add foreign key (business_id, preview) references file,
  add foreign key (business_id, client_id, project_id) references project (business_id, client_id, id)
    on update cascade on delete cascade deferrable,
  add foreign key (business_id, client_id, booking_id) references booking (business_id, client_id, id)
    on update cascade on delete cascade deferrable,
  -- what a thing had stays with its client
  add foreign key (business_id, client_id, item_id) references item (business_id, client_id, id)
    on update cascade on delete set null (item_id) deferrable;
create index record_file_of_client on record_file (business_id, client_id);
create index record_file_removed on record_file (removed_at) where removed_at is not null;
create index record_file_of_content on record_file (business_id, sha256);
create index record_file_of_preview on record_file (business_id, preview);

-- A file of the business's own is found by the names that it had, too, and can be put back.
alter table own_file
  add former_names text[] not null default '{}',
  add preview sha256_hex,
  add foreign key (business_id, preview) references file,
  add removed_at timestamptz;
drop index own_file_name;
create unique index own_file_name on own_file (business_id, lower(name)) where removed_at is null;
create index own_file_of_content on own_file (business_id, sha256);
create index own_file_of_preview on own_file (business_id, preview);
create index attachment_of_content on attachment (business_id, sha256);

-- What stands in the words of letters and templates is named there alone, and stays; other content goes with the last that names it.
alter table file add in_words boolean not null default true;

-- How much of its room a business has used, in bytes.
create table file_room (
  business_id uuid primary key references business on delete cascade,
  used bigint not null
);
insert into file_room (business_id, used) select business_id, sum(size) from file group by business_id;
alter table file_room enable row level security;
create policy own_business on file_room
  using (business_id = (select business_at_work()) or (select every_business_at_work()));

create function count_files_in() returns trigger language plpgsql as $$
begin
  insert into file_room (business_id, used) select business_id, sum(size) from come group by business_id
    on conflict (business_id) do update set used = file_room.used + excluded.used;
  return null;
end $$;
create trigger file_room_in after insert on file referencing new table as come
  for each statement execute function count_files_in();

create function count_files_out() returns trigger language plpgsql as $$
begin
  update file_room set used = used - gone.size
    from (select business_id, sum(size) as size from went group by business_id) gone
    where gone.business_id = file_room.business_id;
  return null;
end $$;
create trigger file_room_out after delete on file referencing old table as went
  for each statement execute function count_files_out();
