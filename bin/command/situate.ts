import { didYouMean } from '../../src/core/problems/nearest';
import { RecordBook } from '../../src/core/records/recordBook';
import type { RecordsFile } from '../../src/core/records/recordsFile';
import { situationFrom, type Situation, type Wishes } from '../../src/core/records/which/situation';
import type { NamedStart } from './flags';
import { Unusable } from './unusable';

/** The records and the clock that a command was given. */
export interface Given {
  from: NamedStart;
  member?: string | undefined;
  /** milliseconds since 1970 */
  now: number;
}

/**
 * The records that a letter is about; whoever writes is the first member, unless one is named.
 * @param command what its mistakes are said by
 * @throws Unusable where there is no such record or member
 */
export function situate(
  command: string,
  records: RecordsFile,
  { from, member, now }: Given,
  wishes: Omit<Wishes, 'sender'> = {},
): Situation {
  const book = new RecordBook(records, now);
  const members = [...book.members.keys()];
  const sender = member === undefined ? book.members.values().next().value : book.members.get(member);
  if (!sender && member !== undefined)
    throw new Unusable([`${command}: There is no member “${member}”.${didYouMean(member, members)}`]);
  const situation = situationFrom(book, from, { ...wishes, sender: sender ?? { key: '' } });
  if (situation) return situation;
  const keys = book[`${from.kind === 'enquiry' ? 'enquirie' : from.kind}s`].keys();
  throw new Unusable([
    `${command}: There is no ${from.kind} “${from.key}”.${didYouMean(from.key, keys, `${from.kind}:`)}`,
  ]);
}
