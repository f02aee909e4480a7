import type { Rest } from '../../core/contract/occasions';
import { isoOf } from '../../core/dates/civil';
import { plusWorkingDays } from '../../core/dates/workingDays';
import { restOccasion, wakeOccasion } from '../../data/repositories/occasionRests';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** Puts an occasion off, or says that nothing needs to be written. */
export const putOff = forMember(
  async ({ business_id, id }: CurrentMember, occasion: string, rest: Rest): Promise<void> => {
    const book = await businessBook(business_id);
    const until = {
      'next working day': plusWorkingDays(book.today, 1, book.workingDays) ?? book.today + 1,
      'next week': book.today + 7,
      'for good': undefined,
    }[rest];
    await restOccasion(
      connection(),
      { business_id, member_id: id },
      occasion,
      until === undefined ? null : isoOf(until),
    );
  },
);

/** Undoes it. */
export const takeUpAgain = forMember(
  async ({ business_id }: CurrentMember, occasion: string): Promise<void> => {
    await wakeOccasion(connection(), business_id, occasion);
  },
);
