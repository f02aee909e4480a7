import { QueryTypes } from 'sequelize';
import type { Database } from '../../database';

/** A key for a new row: the one wanted, or with the first number behind it that no other has. */
export async function freeKey(
  { sequelize }: Database,
  table: 'template' | 'template_group' | 'passage' | 'signature',
  business_id: string,
  wanted: string,
): Promise<string> {
  const rows = await sequelize.query<{ key: string }>(
    `select key from ${table} where business_id = $business_id and (key = $wanted or key like $numbered)`,
    { bind: { business_id, wanted, numbered: `${wanted}-%` }, type: QueryTypes.SELECT },
  );
  const taken = new Set(rows.map(({ key }) => key));
  for (let n = 1; ; n++) {
    const key = n === 1 ? wanted : `${wanted}-${n}`;
    if (!taken.has(key)) return key;
  }
}
