import { QueryTypes } from 'sequelize';
import type { LetterNarrowing } from '../../core/contract/letterNarrowing';
import type { Database } from '../database';
import { narrowed } from './letters';

/** So many of the newest letters that a narrowing leaves are looked through for words. */
const MOST_LOOKED_THROUGH = 3000;

/**
 * The ids of the newest letters of the business at work that have all of some words, each given in the forms in which it
 * may stand (core/searching/searchWays).
 */
export async function foundLetters(
  { sequelize }: Database,
  wanted: readonly (readonly string[])[],
  most: number,
): Promise<string[]> {
  if (wanted.length === 0) return [];
  const rows = await sequelize.query<{ id: string }>(
    'select found_letters as id from found_letters($wanted::jsonb, $most::integer)',
    { bind: { wanted: JSON.stringify(wanted), most }, type: QueryTypes.SELECT },
  );
  return rows.map(({ id }) => id);
}

/**
 * The ids of the newest letters that a narrowing leaves and that have all of some words, among the newest that it leaves.
 * @param now the moment that its times are counted from
 * @returns and whether these are all it leaves, so that no others have the words
 */
export async function foundNarrowed(
  { sequelize }: Database,
  business_id: string,
  {
    wanted,
    narrowing,
    now,
  }: { wanted: readonly (readonly string[])[]; narrowing: LetterNarrowing; now: Date },
  most: number,
): Promise<{ ids: string[]; all: boolean }> {
  const [conditions, narrowedBy] = narrowed(narrowing, now);
  const [found] = await sequelize.query<{ ids: string[]; looked: number }>(
    // A question for each letter: joined, the words of all letters may be read first, whatever is left of them.
    `with sought as materialized (select words_sought($wanted::jsonb) as each_word),
     lately as materialized (
       select message.id, message.at, message.sequence from message
       where message.business_id = $business_id and message.status <> 'draft' ${conditions}
       order by message.at desc, message.sequence desc limit ${MOST_LOOKED_THROUGH})
     select (select count(*)::int from lately) as looked, array(
       select lately.id from sought, lately
       where (select letter_words.words @@ all (sought.each_word) from letter_words
         where letter_words.business_id = $business_id and letter_words.message_id = lately.id)
       order by lately.at desc, lately.sequence desc limit ${Math.floor(most)}) as ids`,
    { bind: { business_id, wanted: JSON.stringify(wanted), ...narrowedBy }, type: QueryTypes.SELECT },
  );
  return { ids: found!.ids, all: found!.looked < MOST_LOOKED_THROUGH };
}
