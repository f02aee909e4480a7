import { QueryTypes } from 'sequelize';
import type { BroughtKind } from '../../../core/bringing/brought';
import type { BringingState, ComingRow, NewBringing } from '../../../core/contract/bringing';
import type { Database } from '../../database';

/** One that was begun, as it stands. */
export type Bringing = BringingState & { begun_at: Date; member: string };

const COLUMNS = `bringing.id, bringing.kind, bringing.name, state, total, done, left_over as "leftOver", begun_at,
  member.full_name as member`;
const FROM = `from bringing join member on member.business_id = bringing.business_id and member.id = bringing.member_id`;

/** One of them; undefined where there is none. */
export async function bringingOf(
  { sequelize }: Database,
  business_id: string,
  id: string,
): Promise<Bringing | undefined> {
  const [found] = await sequelize.query<Bringing>(
    `select ${COLUMNS} ${FROM} where bringing.business_id = $business_id and bringing.id = $id`,
    { bind: { business_id, id }, type: QueryTypes.SELECT },
  );
  return found;
}

/** Those that have begun to come in, the latest first. */
export async function latestBringings(
  { sequelize }: Database,
  business_id: string,
  most: number,
): Promise<Bringing[]> {
  return sequelize.query<Bringing>(
    `select ${COLUMNS} ${FROM} where bringing.business_id = $business_id and state <> 'given' order by begun_at desc limit $most`,
    { bind: { business_id, most }, type: QueryTypes.SELECT },
  );
}

/**
 * Begins one. Asked for again before its rows were all given it begins anew: they may have been mended meanwhile. One that is on its
 * way stands.
 */
export async function beginBringing(
  { models, inTransaction }: Database,
  { business_id, id: member_id }: { business_id: string; id: string },
  asked: NewBringing,
  at: Date,
): Promise<void> {
  await inTransaction(async () => {
    await models.bringing.destroy({ where: { business_id, id: asked.id, state: 'given' } });
    await models.bringing.bulkCreate([{ ...asked, business_id, member_id, begun_at: at, state: 'given' }], {
      ignoreDuplicates: true,
    });
  });
}

/** Keeps some rows of one that is being given; the same place again is the same rows. Gives whether it is. */
export async function keepBroughtRows(
  { sequelize }: Database,
  business_id: string,
  id: string,
  position: number,
  rows: readonly ComingRow[],
): Promise<boolean> {
  const kept = await sequelize.query(
    `insert into brought_rows (business_id, bringing_id, position, rows)
     select business_id, id, $position, $rows::jsonb from bringing
     where business_id = $business_id and id = $id and state = 'given' for share
     on conflict (business_id, bringing_id, position) do update set rows = excluded.rows returning position`,
    { bind: { business_id, id, position, rows: JSON.stringify(rows) }, type: QueryTypes.SELECT },
  );
  return kept.length > 0;
}

/**
 * Lets one come in whose rows were all given. Asked for again, it is coming already.
 * @returns how many rows are missing; undefined: there is none such
 */
export async function letCome(
  { sequelize }: Database,
  business_id: string,
  id: string,
): Promise<number | undefined> {
  const [given] = await sequelize.query<{ missing: number; state: Bringing['state'] }>(
    `select state, total - (select coalesce(sum(jsonb_array_length(rows)), 0) from brought_rows
       where business_id = $business_id and bringing_id = $id)::int as missing
     from bringing where business_id = $business_id and id = $id for update`,
    { bind: { business_id, id }, type: QueryTypes.SELECT },
  );
  if (!given) return undefined;
  if (given.state !== 'given') return 0;
  if (given.missing === 0)
    await sequelize.query(
      "update bringing set state = 'coming' where business_id = $business_id and id = $id",
      {
        bind: { business_id, id },
      },
    );
  return given.missing;
}

/** Lets one be taken out again that came in since a moment. Gives whether it will be, or is. */
export async function letGo(
  database: Database,
  business_id: string,
  id: string,
  since: Date,
): Promise<boolean> {
  await database.sequelize.query(
    `update bringing set state = 'going', done = 0, left_over = '[]',
       total = greatest(1, (select count(*) from brought_record where business_id = $business_id and bringing_id = $id))
     where business_id = $business_id and id = $id and state = 'in' and begun_at > $since`,
    { bind: { business_id, id, since } },
  );
  const now = await bringingOf(database, business_id, id);
  return now?.state === 'going' || now?.state === 'out';
}

/** What the columns of a table with such heads were taken for the last time that one came in. */
export async function rememberedColumns(
  { sequelize }: Database,
  business_id: string,
  heads: readonly string[],
): Promise<{ kind: BroughtKind; columns: (string | null)[] } | undefined> {
  const [found] = await sequelize.query<{ kind: BroughtKind; columns: (string | null)[] }>(
    `select kind, columns from bringing where business_id = $business_id and heads = $heads::text[] and state <> 'given'
     order by begun_at desc limit 1`,
    { bind: { business_id, heads }, type: QueryTypes.SELECT },
  );
  return found;
}

/** Forgets what can no longer be taken out again, and what was never given whole. */
export async function tidyBringings({ sequelize }: Database, days: number): Promise<void> {
  const bind = { days };
  await sequelize.query(
    `delete from brought_record using bringing where bringing.business_id = brought_record.business_id
       and bringing.id = bringing_id and state <> 'going' and begun_at < now() - make_interval(days => $days)`,
    { bind },
  );
  await sequelize.query("delete from bringing where state = 'given' and begun_at < now() - interval '1 day'");
}
