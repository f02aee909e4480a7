-- What an invoice comes to and what has been paid on it stand in its row, so that nothing has to be added up to find those
-- that are open. They follow the lines and payments by the statement that changes these; line_amount has the core's rounding.

alter table invoice add column total bigint not null default 0, add column paid bigint not null default 0;
update invoice set total = sums.total, paid = sums.paid
  from invoice_sums sums where sums.business_id = invoice.business_id and sums.invoice_id = invoice.id;
drop view invoice_sums;

create function invoice_total_follows() returns trigger language plpgsql as $$
begin
  if tg_op <> 'DELETE' then
    update invoice set total = total + more.amount
      from (select business_id, invoice_id, sum(line_amount)::bigint as amount from added group by business_id, invoice_id) more
      where invoice.business_id = more.business_id and invoice.id = more.invoice_id;
  end if;
  if tg_op <> 'INSERT' then
    update invoice set total = total - less.amount
      from (select business_id, invoice_id, sum(line_amount)::bigint as amount from removed group by business_id, invoice_id) less
      where invoice.business_id = less.business_id and invoice.id = less.invoice_id;
  end if;
  return null;
end $$;

create function invoice_paid_follows() returns trigger language plpgsql as $$
begin
  if tg_op <> 'DELETE' then
    update invoice set paid = paid + more.amount
      from (select business_id, invoice_id, sum(amount)::bigint as amount from added group by business_id, invoice_id) more
      where invoice.business_id = more.business_id and invoice.id = more.invoice_id;
  end if;
  if tg_op <> 'INSERT' then
    update invoice set paid = paid - less.amount
      from (select business_id, invoice_id, sum(amount)::bigint as amount from removed group by business_id, invoice_id) less
      where invoice.business_id = less.business_id and invoice.id = less.invoice_id;
  end if;
  return null;
end $$;

do $$
declare one record;
begin
  for one in select * from (values ('invoice_line', 'invoice_total_follows'), ('payment', 'invoice_paid_follows')) as kept (rows, follows)
  loop
    execute format('create trigger %I after insert on %I referencing new table as added
      for each statement execute function %I()', one.follows || '_more', one.rows, one.follows);
    execute format('create trigger %I after update on %I referencing new table as added old table as removed
      for each statement execute function %I()', one.follows || '_other', one.rows, one.follows);
    execute format('create trigger %I after delete on %I referencing old table as removed
      for each statement execute function %I()', one.follows || '_less', one.rows, one.follows);
  end loop;
end $$;

-- What Today looks for, each where something is due.
create index invoice_open on invoice (business_id, due_on, number desc) where status = 'sent' and total > paid;
create index invoice_open_lately on invoice (business_id, issued_on) where status = 'sent' and total > paid;
create index instalment_due on instalment (business_id, due_on);
create index payment_lately on payment (business_id, paid_on);
create index project_finished on project (business_id, ends_on) where status = 'finished';
