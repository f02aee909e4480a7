import type { FormKind } from '../../core/contract/records/formKinds';
import { dayLately } from '../../core/describe/dayLately';
import {
  putBackRecord as putBack,
  removedRecords as removedOnes,
  removeRecord as remove,
  type Removed,
} from '../../data/repositories/records/removedRecords';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** So many are shown among the removed ones. */
const MOST_SHOWN = 200;

/** Takes a record out with all that is its own. Gives what puts it back, or why it stays, in a sentence. */
export const removeRecord = forMember(
  async (
    member: CurrentMember,
    kind: FormKind,
    key: string,
    version: number,
  ): Promise<{ removed: string } | { stays: string }> => {
    const removing = await remove(connection(), member, kind, key, version, new Date(now()));
    switch (removing.result) {
      case 'removed':
        return { removed: removing.id };
      case 'overtaken':
        return { stays: 'Somebody has changed or removed it since you opened it. Look at it again.' };
      case 'issued':
        return {
          stays:
            kind === 'invoice'
              ? 'It was issued: its number is its own for good. Make it void instead.'
              : `${counted(removing.invoices, 'invoice')} of theirs ${removing.invoices === 1 ? 'was' : 'were'} issued and must stay, and so do they.`,
        };
      case 'going':
        return {
          stays: `${counted(removing.letters, 'letter')} about it ${removing.letters === 1 ? 'is' : 'are'} on the way or held: see to that in Post first.`,
        };
    }
  },
);

/** Puts a record back. Undefined: it is not there any more. */
export const putBackRecord = forMember(async ({ business_id }: CurrentMember, id: string) =>
  putBack(connection(), business_id, id),
);

/** What was removed lately with its day in words, the newest first. */
export const removedRecords = forMember(
  async ({ business_id }: CurrentMember): Promise<(Removed & { day: string })[]> => {
    const removed = await removedOnes(connection(), business_id, MOST_SHOWN);
    const dayOf = dayLately(await businessBook(business_id));
    return removed.map((one) => ({ ...one, day: dayOf(one.removed_at.getTime()) }));
  },
);

function counted(count: number, word: string): string {
  return count === 1 ? `One ${word}` : `${count} ${word}s`;
}
