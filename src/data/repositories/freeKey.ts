import { QueryTypes } from 'sequelize';
import type { FormKind } from '../../core/contract/records/formKinds';
import type { Database } from '../database';

type Keyed = 'template' | 'template_group' | 'passage' | 'signature' | 'shorthand' | FormKind;

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
  'from-letter',
  'bring-in',
  'shorthand',
  'words',
  'foreign',
  'brought',
  'files',
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

/**
 * The same for several rows, in their order: no two have one. Only keys that come into question are asked for, however many there
 * are, and more of them only where all of these are taken.
 */
export async function freeKeys(
  { sequelize }: Database,
  table: Keyed,
  business_id: string,
  wanted: readonly string[],
): Promise<string[]> {
  const known = new Set(WORDS_OF_PATHS);
  const bases = [...new Set(wanted)];
  for (let [from, to] = [1, 4]; ; [from, to] = [to + 1, to * 4]) {
    const asked = bases.flatMap((base) =>
      Array.from({ length: to - from + 1 }, (_, i) => numbered(base, from + i)),
    );
    const rows = await sequelize.query<{ key: string }>(
      `select key from ${table} where business_id = $business_id and key = any($asked)`,
      { bind: { business_id, asked }, type: QueryTypes.SELECT },
    );
    for (const { key } of rows) known.add(key);
    const taken = new Set(known);
    const keys = wanted.map((one) => takeKey(taken, one, to));
    if (keys.every((key) => key !== undefined)) return keys;
  }
}

/** The same among keys that are known to be taken; it is one of them from then on. */
export function takeKey(taken: Set<string>, wanted: string): string;
/** @param most undefined when all up to this number are taken */
export function takeKey(taken: Set<string>, wanted: string, most: number): string | undefined;
export function takeKey(taken: Set<string>, wanted: string, most = Infinity): string | undefined {
  for (let n = 1; n <= most; n++) {
    const key = numbered(wanted, n);
    if (taken.has(key)) continue;
    taken.add(key);
    return key;
  }
  return undefined;
}

function numbered(base: string, n: number): string {
  return n === 1 ? base : `${base}-${n}`;
}
