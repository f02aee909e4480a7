import { QueryTypes } from 'sequelize';
import type { Database } from '../database';
import type { ArchiveTable } from './archiveTables';

/** So many rows are read at once. */
const AT_ONCE = 500;
/** What of a row is not said: a password, and a file's content, which lies beside. */
const UNSAID: Readonly<Record<string, string>> = { member: 'password_hash', file: 'content' };

/** The rows of a table that a business has, each as one line of JSON as the database says it, in an order in which they can be read back. */
export async function* archiveRows(
  { sequelize }: Pick<Database, 'sequelize'>,
  business_id: string,
  { name, key, counted }: ArchiveTable,
): AsyncGenerator<string> {
  if (name === 'business') {
    const [row] = await sequelize.query<{ line: string }>(
      'select to_jsonb(business)::text as line from business where id = $business_id',
      { bind: { business_id }, type: QueryTypes.SELECT },
    );
    if (row) yield `${row.line}\n`;
    return;
  }
  const order = counted ? [counted] : key.filter((column) => column !== 'business_id');
  // A table with one row a business has no other key.
  const place = order.length > 0 ? order : ['business_id'];
  const unsaid = UNSAID[name] ? ` - '${UNSAID[name]}'` : '';
  let after: string | undefined;
  for (;;) {
    const rows = await sequelize.query<{ line: string; place: string }>(
      `select (to_jsonb(one)${unsaid})::text as line, jsonb_build_object(${place.map((column) => `'${column}', ${column}`).join(', ')})::text as place
       from ${name} one where business_id = $business_id ${
         after === undefined
           ? ''
           : `and (${place.join(', ')}) > (select ${place.join(', ')} from jsonb_populate_record(null::${name}, $after::jsonb))`
       } order by ${place.join(', ')} limit ${AT_ONCE}`,
      { bind: { business_id, ...(after === undefined ? {} : { after }) }, type: QueryTypes.SELECT },
    );
    for (const { line } of rows) yield `${line}\n`;
    if (rows.length < AT_ONCE) return;
    after = rows.at(-1)!.place;
  }
}
