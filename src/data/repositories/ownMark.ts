import { QueryTypes } from 'sequelize';
import type { Database } from '../database';

/** Tells this machine's private database from a copy of its files elsewhere; empty for a database server apart. */
export const MACHINE = () => process.env.FAIRQUILL_MACHINE ?? '';

const COPIED =
  'This database has been copied or brought back since the letter was written. It may have gone out already, from the other one.';

/**
 * Recognises this database by its mark. One that was copied, or restored from a copy, holds every letter that was on its
 * way, for a person to decide: the original may have sent it.
 * @returns how many are held now
 */
export async function recogniseDatabase({ sequelize, inTransaction }: Database, at: Date): Promise<number> {
  const bind = { machine: MACHINE() };
  const [known] = await sequelize.query<{ same: boolean }>(
    'select mark = present_mark($machine) as same from own_mark',
    { bind, type: QueryTypes.SELECT },
  );
  if (known?.same) return 0;
  return inTransaction(async (transaction) => {
    const held = known ? await holdAll() : 0;
    await sequelize.query(
      `insert into own_mark (mark) select present_mark($machine)
       on conflict (single) do update set mark = excluded.mark`,
      { bind, transaction },
    );
    return held;

    async function holdAll(): Promise<number> {
      const rows = await sequelize.query(
        `with held as (
           update message set status = case when handed_over_at is null then 'held' else 'may have arrived' end,
             reason = $words, goes_at = null, claimed_by = null, claimed_at = null, settled_at = null, settled_by = null,
             version = version + 1
           where status = 'going' returning business_id, id, status)
         insert into delivery_event (business_id, message_id, position, kind, at, detail)
         select business_id, id, (select coalesce(max(position) + 1, 0) from delivery_event
           where delivery_event.business_id = held.business_id and message_id = id), status, $at, $words
         from held returning message_id`,
        { bind: { words: COPIED, at }, transaction, type: QueryTypes.SELECT },
      );
      return rows.length;
    }
  });
}
