-- What a letter needs on its way out, and what its writer decided.
alter table message
  -- the order in which letters were written, where their moments are the same
  add column sequence bigint generated always as identity,
  add column from_name text,
  add column from_address email_address,
  add column reply_to text,
  -- what was chosen while writing: template, records, people, answers
  add column choices jsonb not null default '{}',
  -- real time: when the worker may take it, or try again; null once it is gone or taken back
  add column goes_at timestamptz,
  add column tries integer not null default 0,
  -- while a worker speaks to the server about it
  add column claimed_at timestamptz,
  -- when the server began to take the letter's content: from here on it may have gone out
  add column handed_over_at timestamptz,
  add constraint going_has_its_time check ((status = 'going') = (goes_at is not null)),
  add constraint going_has_a_sender check (status <> 'going' or from_address is not null);

create index message_going on message (goes_at) where status = 'going';
create index message_by_member on message (business_id, member_id, at desc) where template_id is not null;
drop index message_lately;
create index message_lately on message (business_id, at desc, sequence desc);

-- Sums in lists are the core's (core/money): half to even, once for a line's net and once for its tax.
create function round_half_even(value numeric) returns bigint language plpgsql immutable parallel safe as $$
begin
  return case when abs(value - trunc(value)) = 0.5 then 2 * round(value / 2) else round(value) end;
end $$;

alter table invoice_line add column line_amount bigint not null generated always as (
  round_half_even(coalesce(quantity, 1) * coalesce(unit_price, 0) * (100 - coalesce(discount, 0)) / 100)
  + round_half_even(round_half_even(coalesce(quantity, 1) * coalesce(unit_price, 0) * (100 - coalesce(discount, 0)) / 100)
    * coalesce(tax_rate, 0) / 100)
) stored;

-- Grouped, not looked up for each invoice: it is read for lists of all of them.
create view invoice_sums as
  select invoice.business_id, invoice.id as invoice_id,
    coalesce(lines.total, 0)::bigint as total, coalesce(payments.paid, 0)::bigint as paid
  from invoice
  left join (
    select business_id, invoice_id, sum(line_amount) as total from invoice_line group by business_id, invoice_id
  ) lines on lines.business_id = invoice.business_id and lines.invoice_id = invoice.id
  left join (
    select business_id, invoice_id, sum(amount) as paid from payment group by business_id, invoice_id
  ) payments on payments.business_id = invoice.business_id and payments.invoice_id = invoice.id;
