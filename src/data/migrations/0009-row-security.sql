-- A second wall around each business: whatever a query says or forgets, the application's role sees and writes only rows
-- of the business that its transaction works for (Database.inBusiness), or of all where it says so (acrossBusinesses).
-- The owner of the tables, who migrates and loads them, is not held by it.

create function business_at_work() returns uuid language sql stable parallel safe as $$
  select nullif(nullif(current_setting('fairquill.business', true), ''), 'every')::uuid
$$;

create function every_business_at_work() returns boolean language sql stable parallel safe as $$
  select coalesce(current_setting('fairquill.business', true) = 'every', false)
$$;

do $$
declare name text;
begin
  for name in
    select columns.table_name from information_schema.columns
    join information_schema.tables using (table_schema, table_name)
    where table_schema = 'public' and table_type = 'BASE TABLE' and column_name = 'business_id'
  loop
    execute format('alter table %I enable row level security', name);
    -- Asked once a query, not once a row.
    execute format('create policy own_business on %I
      using (business_id = (select business_at_work()) or (select every_business_at_work()))', name);
  end loop;
end $$;

alter table business enable row level security;
create policy own_business on business
  using (id = (select business_at_work()) or (select every_business_at_work()));

-- Who asks a view sees no more by it than by asking the tables.
alter view invoice_sums set (security_invoker = true);
