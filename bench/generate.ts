import { QueryTypes } from 'sequelize';
import { openDatabase } from '../src/data/database';

/** How large a business: each client has two people, a project, three visits, four invoices and ten letters. */
export interface Size {
  clients: number;
  templates: number;
}

/** Tables whose triggers would say the same row by row that is said here once. */
const FOLLOWED = [
  'client',
  'contact',
  'project',
  'booking',
  'invoice',
  'invoice_line',
  'payment',
  'message',
  'message_recipient',
];

/**
 * Makes a business as large as asked, made by the database itself from the demonstration business: clients with people,
 * projects, visits, invoices and letters. Running it again adds what is missing.
 * @param url of the owner of the tables
 */
export async function generate(url: string, { clients, templates }: Size): Promise<void> {
  const database = openDatabase(url, { connections: 2, statementSeconds: 0 });
  const run = (sql: string) => database.sequelize.query(sql);
  try {
    await database.inTransaction(async () => {
      for (const table of FOLLOWED) await run(`alter table ${table} disable trigger user`);
      await run(`create temporary table fresh on commit drop as
        select business.id as business_id, gen_random_uuid() as id, n, 'g' || n as key, member.id as member_id
        from business join member on member.business_id = business.id and member.key = 'imke',
          generate_series(1, ${Math.floor(clients)} - (select count(*)::int from client where key !~ '^g[0-9]+$')) n
        where not exists (select from client where client.business_id = business.id and client.key = 'g' || n)`);
      const indexes = await database.sequelize.query<{ name: string; definition: string }>(
        `select indexname as name, indexdef as definition from pg_indexes where indexname = any(array['record_words_search', 'letter_words_search'])`,
        { type: QueryTypes.SELECT },
      );
      const [{ missing } = { missing: 0 }] = await database.sequelize.query<{ missing: number }>(
        'select count(*)::int as missing from fresh',
        { type: QueryTypes.SELECT },
      );
      if (missing > 0) {
        for (const { name } of indexes) await run(`drop index ${name}`);
        for (const sql of ROWS) await run(sql);
        for (const { definition } of indexes) await run(definition);
      }
      for (const sql of templateCopies(Math.floor(templates))) await run(sql);
      // What a letter answers is looked at when all are there; a table with that before it cannot be altered.
      await run('set constraints all immediate');
      for (const table of FOLLOWED) await run(`alter table ${table} enable trigger user`);
    });
    await run('vacuum analyze').catch(() => undefined);
  } finally {
    await database.close();
  }
}

const ROWS = [
  `insert into client (business_id, id, key, name, email, phone, address)
   select business_id, id, key, 'Generated Client ' || n, key || '@generated.example', '01632 9' || lpad((n % 100000)::text, 5, '0'),
     jsonb_build_object('town', 'Saltby', 'postcode', 'LK' || n % 90 || ' ' || n % 9 || 'AB') from fresh`,
  `insert into contact (business_id, id, client_id, key, position, given_name, family_name, email, uses)
   select business_id, gen_random_uuid(), id, 'k' || i, i, 'Person' || i, 'Of ' || key, key || '-' || i || '@generated.example',
     case i when 0 then '{main}'::text[] else '{invoices}'::text[] end from fresh, generate_series(0, 1) i`,
  `insert into project (business_id, id, key, client_id, title, status, starts_on)
   select business_id, gen_random_uuid(), 'p-' || key, id, 'the work for ' || key, 'active', '2026-09-01' from fresh`,
  // Most visits were before; some sixty are on each day to come.
  `insert into booking (business_id, id, key, client_id, service, status, starts_at, ends_at, member_id)
   select business_id, gen_random_uuid(), 'b-' || key || '-' || i, id, 'tuning visit', 'confirmed', starts_at,
     starts_at + interval '90 minutes', member_id
   from fresh, generate_series(0, 2) i, lateral (select timestamptz '2026-12-20 09:00Z'
     - make_interval(days => ((n * 3 + i) / 60)::int, mins => ((n * 3 + i) % 60)::int * 8) as starts_at) placed`,
  // One in forty invoices is open, the others were paid in full.
  `insert into invoice (business_id, id, key, number, client_id, issued_on, due_on, status, total, paid)
   select business_id, gen_random_uuid(), 'i-' || key || '-' || i, 'G-' || key || '-' || i, id, issued_on, issued_on + 30, 'sent',
     18720, case when (n + i) % 40 = 0 then 0 else 18720 end
   from fresh, generate_series(0, 3) i, lateral (select date '2026-11-20' - ((n * 4 + i) / 60)::int as issued_on) placed`,
  `insert into invoice_line (business_id, invoice_id, position, description, unit_price, tax_rate)
   select invoice.business_id, invoice.id, i, 'Work', 7800, 20 from invoice
   join fresh on fresh.business_id = invoice.business_id and fresh.id = invoice.client_id, generate_series(0, 1) i`,
  `insert into payment (business_id, invoice_id, position, paid_on, amount)
   select invoice.business_id, invoice.id, 0, least(invoice.issued_on + 20, '2026-11-18'), paid from invoice
   join fresh on fresh.business_id = invoice.business_id and fresh.id = invoice.client_id where paid > 0`,
  `insert into message (business_id, id, message_id, direction, status, thread_id, subject, text, html, language, at, member_id,
     client_id, template_id, template_version, from_name, from_address)
   select fresh.business_id, gen_random_uuid(), gen_random_uuid() || '@larkfield.example', 'out', 'delivered', gen_random_uuid(),
     'A letter to ' || fresh.key, 'Hello, this is letter ' || i || ' of many to client ' || n || ', about the piano and its tuning.',
     '<p>Hello</p>', 'en-GB', timestamptz '2026-11-24 09:00Z' - make_interval(mins => (n * 10 + i)::int), fresh.member_id, fresh.id,
     template.id, template.current_version, 'Imke Sandoval', 'imke@larkfield.example'
   from fresh join template on template.business_id = fresh.business_id and template.key = 'short-note', generate_series(0, 9) i`,
  `insert into message_recipient (business_id, message_id, position, role, name, address)
   select message.business_id, message.id, 0, 'to', 'Somebody', fresh.key || '@generated.example' from message
   join fresh on fresh.business_id = message.business_id and fresh.id = message.client_id`,
  // Said once for all, where each row's trigger would.
  `insert into record_words select records_in_words.* from records_in_words join fresh on fresh.business_id = records_in_words.business_id
     and fresh.id = records_in_words.id and kind = 'client'`,
  `insert into letter_words select letters_in_words.* from letters_in_words
   join (select message.id from message join fresh on fresh.business_id = message.business_id and fresh.id = message.client_id) made
     on made.id = letters_in_words.message_id`,
  ...['project', 'booking', 'invoice'].map(
    (kind) => `insert into record_words select records_in_words.* from records_in_words
     join (select ${kind}.id from ${kind} join fresh on fresh.business_id = ${kind}.business_id and fresh.id = ${kind}.client_id) made
       on made.id = records_in_words.id and kind = '${kind}'`,
  ),
];

/** Copies of the demonstration's templates, some of each. */
const templateCopies = (templates: number) => [
  `insert into template (business_id, id, key, group_id, name, starts_from, position, current_version)
   select template.business_id, gen_random_uuid(), template.key || '-' || n, group_id, name || ' ' || n, starts_from,
     position + n * 100, 1
   from template, generate_series(2, 1 + ${templates} / (select count(*)::int from template where key !~ '-[0-9]+$')) n
   where template.key !~ '-[0-9]+$' on conflict do nothing`,
  `insert into template_version (business_id, template_id, version, head, document, document_schema)
   select copy.business_id, copy.id, 1, jsonb_set(kept.head, '{name}', to_jsonb(copy.name)), kept.document, kept.document_schema
   from template copy
   join template original on original.business_id = copy.business_id and copy.key like original.key || '-%'
     and original.key = regexp_replace(copy.key, '-[0-9]+$', '')
   join template_version kept on kept.business_id = original.business_id and kept.template_id = original.id
     and kept.version = original.current_version
   where copy.key ~ '-[0-9]+$' on conflict do nothing`,
];
