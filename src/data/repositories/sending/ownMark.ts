import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';
import { addingEvents } from './deliveryEvents';
import { HOLDING } from './holding';

/** Tells this machine's private database from a copy of its files elsewhere; empty for a database server apart. */
export function machine(): string {
  return process.env.FAIRQUILL_MACHINE ?? '';
}

const COPIED =
  'This database has been copied or brought back since the letter was written. It may have gone out already, from the other one.';

/**
 * Recognises this database by its mark. One that was copied, or restored from a copy, holds every letter that was on its
 * way, for a person to decide: the original may have sent it.
 * @returns how many are held now
 */
export async function recogniseDatabase({ sequelize, inTransaction }: Database, at: Date): Promise<number> {
  const bind = { machine: machine() };
  const [known] = await sequelize.query<{ same: boolean }>(
    'select mark = present_mark($machine) as same from own_mark',
    { bind, type: QueryTypes.SELECT },
  );
  if (known?.same) return 0;
  return inTransaction(async () => {
    const held = known ? await holdAll() : 0;
    await sequelize.query(
      `insert into own_mark (mark) select present_mark($machine)
       on conflict (single) do update set mark = excluded.mark`,
      { bind },
    );
    return held;

    async function holdAll(): Promise<number> {
      const rows = await sequelize.query(
        `with held as (
           update message set ${HOLDING}, reason = $words, settled_at = null, settled_by = null
           where status in ('going', 'later') returning business_id, id, status)
         ${addingEvents('held', '$words')} returning message_id`,
        { bind: { words: COPIED, at }, type: QueryTypes.SELECT },
      );
      return rows.length;
    }
  });
}
