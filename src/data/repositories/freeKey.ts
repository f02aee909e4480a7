import { QueryTypes } from 'sequelize';
import type { FormKind } from '../../core/contract/records/recordForms';
import type { Database } from '../database';

type Keyed = 'template' | 'template_group' | 'passage' | 'signature' | FormKind;

/** The words that paths have behind a place: no key is one of them. */
const WORDS_OF_PATHS = [
  'new',
  'arrange',
  'passages',
  'signatures',
  'letterhead',
  'acts',
  'trash',
  'rights',
  'calendar',
];

/** A key for a new row: the one wanted, or with the first number behind it that no other has. */
export async function freeKey(
  database: Database,
  table: Keyed,
  business_id: string,
  wanted: string,
): Promise<string> {
  return (await freeKeys(database, table, business_id, [wanted]))[0]!;
}

/** The same for several rows, in their order: no two have one. */
export async function freeKeys(
  { sequelize }: Database,
  table: Keyed,
  business_id: string,
  wanted: readonly string[],
): Promise<string[]> {
  const rows = await sequelize.query<{ key: string }>(
    `select key from ${table} where business_id = $business_id
       and (key = any($wanted) or key like any(select one || '-%' from unnest($wanted::text[]) as one))`,
    { bind: { business_id, wanted }, type: QueryTypes.SELECT },
  );
  const taken = new Set([...WORDS_OF_PATHS, ...rows.map(({ key }) => key)]);
  return wanted.map((one) => takeKey(taken, one));
}

/** The same among keys that are known to be taken; it is one of them from then on. */
export function takeKey(taken: Set<string>, wanted: string): string {
  for (let n = 1; ; n++) {
    const key = n === 1 ? wanted : `${wanted}-${n}`;
    if (taken.has(key)) continue;
    taken.add(key);
    return key;
  }
}
