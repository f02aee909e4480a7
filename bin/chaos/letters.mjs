import pg from 'pg';

/** Asks the database, as often as it takes to be there. */
export async function ask(urlOf, sql, values = [], until = Date.now() + 60_000) {
  const client = new pg.Client({
    connectionString: await urlOf(),
    connectionTimeoutMillis: 3000,
    // It looks at all businesses, as the worker does.
    options: '-c fairquill.business=every',
  });
  client.on('error', () => undefined);
  try {
    await client.connect();
    return (await client.query(sql, values)).rows;
  } catch (error) {
    if (Date.now() > until) throw error;
    await new Promise((resolve) => setTimeout(resolve, 300));
    return ask(urlOf, sql, values, until);
  } finally {
    await client.end().catch(() => undefined);
  }
}

/**
 * Letters as the writing page writes them, due within some seconds: several to one reader, of whom there are more the more letters there are,
 * as those of one reader go one after the other.
 */
export async function write(urlOf, ids) {
  await ask(
    urlOf,
    `with written as (
       insert into message (business_id, id, message_id, direction, status, thread_id, subject, text, html, language, at,
         member_id, from_name, from_address, goes_at)
       select business_id, one::uuid, one || '@larkfield.example', 'out', 'going', gen_random_uuid(), 'A letter',
         'Hello', '<p>Hello</p>', 'en-GB', now(), member.id, 'Imke Sandoval', 'imke@larkfield.example',
         now() + random() * interval '3 seconds'
       from member, unnest($1::text[]) one where member.key = 'imke'
       on conflict do nothing returning business_id, id)
     insert into message_recipient (business_id, message_id, position, role, address)
     select business_id, id, 0, 'to', 'somebody' || ascii(id::text) || substr(id::text, 2, 1) || '@chaos.example' from written`,
    [ids],
  );
}

/** What became of letters: their states by id. */
export async function statesOf(urlOf, ids) {
  const rows = await ask(urlOf, 'select id, status from message where id = any($1::uuid[])', [ids]);
  return new Map(rows.map(({ id, status }) => [id, status]));
}

/** What the database says of letters, a few of them, in a line each. */
export async function historyOf(urlOf, ids) {
  const rows = await ask(
    urlOf,
    `select wanted as id, message.message_id, status, reason, tries, claimed_at, handed_over_at, goes_at, at,
       (select jsonb_agg(jsonb_build_array(kind, one.at, detail) order by position) from delivery_event one
         where one.business_id = message.business_id and one.message_id = message.id) as events
     from unnest($1::uuid[]) wanted left join message on id = wanted`,
    [ids.slice(0, 10)],
  );
  return rows.map((row) => JSON.stringify(row));
}
