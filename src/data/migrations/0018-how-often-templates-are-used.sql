-- How many letters were written from a template, and when the last, stand in its row: the index of the templates asks for
-- neither letter by letter. They follow the letters by the statement that changes these; one that was taken back is none.

alter table template add column letters integer not null default 0, add column last_used_at timestamptz;

create function is_written(direction text, template_id uuid, status text) returns boolean language sql immutable as $$
  select direction = 'out' and template_id is not null and status not in ('draft', 'taken back')
$$;

update template set letters = used.letters, last_used_at = used.at
  from (select business_id, template_id, count(*) as letters, max(at) as at from message
    where is_written(direction, template_id, status) group by business_id, template_id) used
  where used.business_id = template.business_id and used.template_id = template.id;

create function template_use_follows() returns trigger language plpgsql as $$
begin
  if tg_op = 'INSERT' then
    update template set letters = letters + used.more, last_used_at = greatest(last_used_at, used.at)
      from (select business_id, template_id, count(*) as more, max(at) as at from added
        where is_written(added.direction, added.template_id, added.status) group by business_id, template_id) used
      where used.business_id = template.business_id and used.template_id = template.id;
  elsif tg_op = 'DELETE' then
    update template set letters = letters - used.less
      from (select business_id, template_id, count(*) as less from removed
        where is_written(removed.direction, removed.template_id, removed.status) group by business_id, template_id) used
      where used.business_id = template.business_id and used.template_id = template.id;
  else
    -- On its way a letter changes many times, and stays written.
    update template set letters = letters + used.more, last_used_at = greatest(last_used_at, used.at)
      from (select added.business_id, added.template_id, max(added.at) filter (where is_written(added.direction, added.template_id, added.status)) as at,
          count(*) filter (where is_written(added.direction, added.template_id, added.status)) - count(*) filter (where is_written(removed.direction, removed.template_id, removed.status)) as more
        from added join removed using (business_id, id)
        where is_written(added.direction, added.template_id, added.status) <> is_written(removed.direction, removed.template_id, removed.status) group by added.business_id, added.template_id) used
      where used.business_id = template.business_id and used.template_id = template.id;
  end if;
  return null;
end $$;

create trigger message_template_new after insert on message referencing new table as added
  for each statement execute function template_use_follows();
create trigger message_template_changed after update on message referencing new table as added old table as removed
  for each statement execute function template_use_follows();
create trigger message_template_gone after delete on message referencing old table as removed
  for each statement execute function template_use_follows();
