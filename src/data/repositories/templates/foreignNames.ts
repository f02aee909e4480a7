import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** A name in other programs' templates, and what it was said to mean. */
export interface ForeignNameRow {
  name: string;
  meant: string;
}

/** So many are read, those that were said last. */
const MOST = 3000;

/** What foreign names were said to mean. */
export async function foreignNames({ sequelize }: Database, business_id: string): Promise<ForeignNameRow[]> {
  return sequelize.query<ForeignNameRow>(
    'select name, meant from foreign_name where business_id = $business_id order by said_at desc limit $most',
    { bind: { business_id, most: MOST }, type: QueryTypes.SELECT },
  );
}

/** Keeps what names were said to mean at a moment; what was said of one before gives way. */
export async function keepForeignNames(
  { sequelize }: Database,
  business_id: string,
  names: readonly ForeignNameRow[],
  at: Date,
): Promise<void> {
  if (names.length === 0) return;
  await sequelize.query(
    `insert into foreign_name (business_id, name, meant, said_at)
     select $business_id, name, meant, $at from unnest($names::text[], $meant::text[]) as said (name, meant)
     on conflict (business_id, name) do update set meant = excluded.meant, said_at = excluded.said_at`,
    {
      bind: {
        business_id,
        at,
        names: names.map(({ name }) => name),
        meant: names.map(({ meant }) => meant),
      },
    },
  );
}
