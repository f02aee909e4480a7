import { QueryTypes } from 'sequelize';
import type { BroughtKind } from '../../../core/bringing/brought';
import type { ComingRow } from '../../../core/contract/bringing';
import type { Database } from '../../database';
import { COME_IN } from './comeIn';
import { goOut, type Came } from './goOut';

/** So many records are taken out in one act. */
const OUT_AT_ONCE = 500;

interface AtWork {
  business_id: string;
  id: string;
  kind: BroughtKind;
  state: 'coming' | 'going';
}

/** One that waits for work, whosever it is; undefined: there is none that nobody works at. */
export async function bringingAtWork({ sequelize }: Database): Promise<AtWork | undefined> {
  const [found] = await sequelize.query<AtWork>(
    `select business_id, id, kind, state from bringing where state in ('coming', 'going') order by begun_at limit 1
     for update skip locked`,
    { type: QueryTypes.SELECT },
  );
  return found;
}

/**
 * Brings the next rows of one in, or takes its next records out, as a part of a transaction that holds it: all of them or nothing, so
 * that whoever goes on after a killed process goes on behind them.
 */
export async function workAtBringing(database: Database, at: AtWork): Promise<void> {
  await (at.state === 'coming' ? bringNext(database, at) : takeNextOut(database, at));
}

async function bringNext(database: Database, { business_id, id, kind }: AtWork): Promise<void> {
  const { sequelize } = database;
  const bind = { business_id, id };
  const [next] = await sequelize.query<{ position: number; rows: ComingRow<never>[] }>(
    `delete from brought_rows where business_id = $business_id and bringing_id = $id and position =
       (select min(position) from brought_rows where business_id = $business_id and bringing_id = $id)
     returning position, rows`,
    { bind, type: QueryTypes.SELECT },
  );
  if (!next) return setState(database, { business_id, id }, 'in');
  const { came, leftOver } = await COME_IN[kind](database, business_id, next.rows);
  await sequelize.query(
    `insert into brought_record (business_id, bringing_id, position, record_id, version, before)
     select $business_id::uuid, $id::uuid, $first + place, record_id, version, before
     from jsonb_to_recordset($came::jsonb) as one(place integer, record_id uuid, version integer, before jsonb)`,
    {
      bind: {
        ...bind,
        first: next.position * 1_000,
        came: JSON.stringify(came.map((one, place) => ({ ...one, place }))),
      },
    },
  );
  await advance(database, { business_id, id }, next.rows.length, leftOver);
}

async function takeNextOut(database: Database, { business_id, id, kind }: AtWork): Promise<void> {
  const came = await database.sequelize.query<Came>(
    `delete from brought_record where business_id = $business_id and bringing_id = $id and position in
       (select position from brought_record where business_id = $business_id and bringing_id = $id
        order by position desc limit ${OUT_AT_ONCE})
     returning position, record_id, version, before`,
    { bind: { business_id, id }, type: QueryTypes.SELECT },
  );
  if (came.length === 0) return setState(database, { business_id, id }, 'out');
  const leftOver = await goOut(
    database,
    business_id,
    kind,
    // What came last goes first.
    came.sort((a, b) => b.position - a.position),
  );
  await advance(database, { business_id, id }, came.length, leftOver);
}

interface Which {
  business_id: string;
  id: string;
}

async function setState({ models }: Database, which: Which, state: 'in' | 'out'): Promise<void> {
  await models.bringing.update({ state }, { where: { ...which } });
}

async function advance({ sequelize }: Database, which: Which, by: number, leftOver: object[]): Promise<void> {
  await sequelize.query(
    `update bringing set done = done + $by, left_over = left_over || $left::jsonb
     where business_id = $business_id and id = $id`,
    { bind: { ...which, by, left: JSON.stringify(leftOver) } },
  );
}
