import { openDatabase } from '../src/data/database';

/**
 * Makes a business as large as asked: clients with people, projects, visits and invoices, made by the database itself
 * from the demonstration business. Running it again adds what is missing.
 * @param url of the owner of the tables
 */
export async function generate(
  url: string,
  { clients, templates }: { clients: number; templates: number },
): Promise<void> {
  const { sequelize, close } = openDatabase(url, { connections: 2, statementSeconds: 0, across: true });
  const bind = { clients, templates };
  const run = (sql: string) => sequelize.query(sql, { bind });
  try {
    await sequelize.transaction(async (transaction) => {
      const inside = (sql: string) => sequelize.query(sql, { bind, transaction });
      await inside(`insert into client (business_id, id, key, name, email)
        select business.id, gen_random_uuid(), 'g' || n, 'Generated Client ' || n, 'g' || n || '@generated.example'
        from business, generate_series(1, $clients - (select count(*)::int from client)) n
        where $templates >= 0 on conflict do nothing`);
      const theirs = `from client where key like 'g%' and name like 'Generated%' and $clients > 0 and $templates >= 0
        and not exists (select from project where project.business_id = client.business_id and project.client_id = client.id)`;
      await inside(`create temporary table fresh on commit drop as select client.business_id, client.id, client.key,
          row_number() over (order by client.key) as n ${theirs}`);
      await sequelize.query(
        `insert into contact (business_id, id, client_id, key, position, given_name, family_name, email, uses)
          select business_id, gen_random_uuid(), id, 'k' || i, i, 'Person' || i, 'Of ' || key, key || '-' || i || '@generated.example',
            case i when 0 then '{main}'::text[] else '{invoices}'::text[] end
          from fresh, generate_series(0, 1) i;
        insert into project (business_id, id, key, client_id, title, status, starts_on)
          select business_id, gen_random_uuid(), 'p-' || key, id, 'the work for ' || key, 'active', '2026-09-01' from fresh;
        insert into booking (business_id, id, key, client_id, service, status, starts_at, ends_at)
          select business_id, gen_random_uuid(), 'b-' || key || '-' || i, id, 'tuning visit', 'confirmed',
            timestamptz '2026-11-20 09:00Z' + make_interval(days => (n % 60)::int + i * 7),
            timestamptz '2026-11-20 10:30Z' + make_interval(days => (n % 60)::int + i * 7)
          from fresh, generate_series(0, 2) i;
        insert into invoice (business_id, id, key, number, client_id, issued_on, due_on, status)
          select business_id, gen_random_uuid(), 'i-' || key || '-' || i, 'G-' || key || '-' || i, id, '2026-10-01',
            date '2026-10-15' + (n % 90)::int, 'sent' from fresh, generate_series(0, 3) i;
        insert into invoice_line (business_id, invoice_id, position, description, unit_price, tax_rate)
          select invoice.business_id, invoice.id, i, 'Work', 7800, 20 from invoice
          join fresh on fresh.business_id = invoice.business_id and fresh.id = invoice.client_id, generate_series(0, 1) i;
        insert into payment (business_id, invoice_id, position, paid_on, amount)
          select invoice.business_id, invoice.id, 0, '2026-11-01', 18720 from invoice
          join fresh on fresh.business_id = invoice.business_id and fresh.id = invoice.client_id
          where invoice.key not like '%-0'`,
        { transaction },
      );
      await inside(`insert into template (business_id, id, key, group_id, name, starts_from, position, current_version)
        select template.business_id, gen_random_uuid(), template.key || '-' || n, group_id, name || ' ' || n, starts_from,
          position + n * 100, 1
        from template, generate_series(2, 1 + $templates / (select count(*)::int from template where key !~ '-[0-9]+$')) n
        where template.key !~ '-[0-9]+$' and $clients > 0 on conflict do nothing`);
      await sequelize.query(
        `insert into template_version (business_id, template_id, version, head, document, document_schema)
        select copy.business_id, copy.id, 1, jsonb_set(kept.head, '{name}', to_jsonb(copy.name)), kept.document, kept.document_schema
        from template copy
        join template original on original.business_id = copy.business_id and copy.key like original.key || '-%'
          and original.key = regexp_replace(copy.key, '-[0-9]+$', '')
        join template_version kept on kept.business_id = original.business_id and kept.template_id = original.id
          and kept.version = original.current_version
        where copy.key ~ '-[0-9]+$' on conflict do nothing`,
        { transaction },
      );
    });
    await run('analyze').catch(() => undefined);
  } finally {
    await close();
  }
}
