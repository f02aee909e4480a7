import { QueryTypes } from 'sequelize';
import type { Database } from '../database';
import type { ArchiveTable } from './archiveTables';
import type { FirstOwner } from './emptyBusiness';

/** Nobody signs in with it. */
const NO_PASSWORD = 'none';

/** Writes rows of an archive into their table, in their order. They name the business that they are read into. @param lines each a row in JSON */
export async function insertArchiveRows(
  { sequelize }: Database,
  { name, columns }: ArchiveTable,
  lines: readonly string[],
): Promise<void> {
  const list = columns.map((column) => `"${column}"`).join(', ');
  await sequelize.query(
    `insert into ${name} (${list}) select ${list} from jsonb_populate_recordset(null::${name}, $rows::jsonb)`,
    { bind: { rows: `[${lines.join(',')}]` } },
  );
}

/** Has the row of a business say what an archive's says, but for what names it and what it may do here. */
export async function updateBusinessRow(
  { sequelize }: Database,
  business_id: string,
  { columns }: ArchiveTable,
  line: string,
): Promise<void> {
  const list = columns
    .filter((column) => !['id', 'key', 'invites'].includes(column))
    .map((column) => `"${column}"`)
    .join(', ');
  await sequelize.query(
    `update business set (${list}) = (select ${list} from jsonb_populate_record(null::business, $row::jsonb)) where id = $business_id`,
    { bind: { business_id, row: line } },
  );
}

/** A row's line that says something otherwise: of what is said twice the last counts, and nothing else of it is written anew. */
export function sayingOf(line: string, otherwise: object): string {
  return `${line.slice(0, line.lastIndexOf('}'))},${JSON.stringify(otherwise).slice(1)}`;
}

/** Members as they are read back: nobody has a password but whoever made the empty business, by the address they sign in with. */
export function membersReadBack(
  lines: readonly string[],
  owner: FirstOwner,
): { lines: string[]; isOwnerIn: boolean } {
  let isOwnerIn = false;
  const read = lines.map((line) => {
    if (emailOf(line) !== owner.email.toLowerCase()) return sayingOf(line, { password_hash: NO_PASSWORD });
    isOwnerIn = true;
    return sayingOf(line, { password_hash: owner.row.password_hash, role: 'owner' });
  });
  return { lines: read, isOwnerIn };
}

/** Whoever made the empty business stays where no member has their address, beside those that were read back. */
export async function keepOwner(
  { sequelize }: Database,
  business_id: string,
  { row }: FirstOwner,
): Promise<void> {
  await sequelize.query(
    `insert into member select (jsonb_populate_record(null::member, $row::jsonb || jsonb_build_object('key',
       case when exists (select from member where business_id = $business_id and key = $row::jsonb ->> 'key')
         then ($row::jsonb ->> 'key') || '-here' else $row::jsonb ->> 'key' end))).*`,
    { bind: { business_id, row: JSON.stringify(row) } },
  );
}

function emailOf(line: string): string {
  return (JSON.parse(line) as { email: string }).email.toLowerCase();
}

/** The addresses of members that somebody of another business signs in with. */
export async function addressesTaken(
  { sequelize }: Database,
  business_id: string,
  lines: readonly string[],
): Promise<string[]> {
  const emails = lines.map(emailOf);
  const rows = await sequelize.query<{ email: string }>(
    'select email from member where business_id <> $business_id and lower(email) = any($emails) order by 1',
    { bind: { business_id, emails }, type: QueryTypes.SELECT },
  );
  return rows.map(({ email }) => email);
}

/** Writes a file's content down with what an archive says of it. */
export async function insertArchiveFile({ models }: Database, line: string, content: Buffer): Promise<void> {
  await models.file.create({ ...(JSON.parse(line) as object), content } as never);
}

/**
 * What the database counts while rows are read back is set to what it was; a letter that was on its way waits until somebody has
 * looked at it: where it comes from it may have gone.
 */
export async function settleReadBack(
  { sequelize }: Database,
  business_id: string,
  templates: readonly string[],
): Promise<number> {
  await sequelize.query(
    `update template set letters = was.letters, last_used_at = was.last_used_at
     from jsonb_populate_recordset(null::template, $rows::jsonb) was
     where template.business_id = $business_id and template.id = was.id`,
    { bind: { business_id, rows: `[${templates.join(',')}]` } },
  );
  const held = await sequelize.query(
    `update message set status = 'held', reason = 'It was brought back with the business: see whether it has gone before it goes.',
       goes_at = null, claimed_at = null, claimed_by = null
     where business_id = $business_id and status in ('going', 'later') returning id`,
    { bind: { business_id }, type: QueryTypes.SELECT },
  );
  return held.length;
}
