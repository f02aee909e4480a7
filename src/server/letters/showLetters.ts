import type { ShownLetter } from '../../core/contract/letters';
import { dayLately } from '../../core/describe/dayLately';
import type { KeptLetter } from '../../data/repositories/letters';
import { businessBook } from '../businessBook';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** Letters with their moments in the business's form. */
export const showLetters = forMember(
  async ({ business_id }: CurrentMember, letters: readonly KeptLetter[]): Promise<ShownLetter[]> => {
    if (letters.length === 0) return [];
    const dayOf = dayLately(await businessBook(business_id));
    return letters.map(({ at, events, html, notes: _, place: __, goes_in: ___, ...letter }) => ({
      ...letter,
      at: at.toISOString(),
      day: dayOf(at.getTime()),
      hasHtml: html !== null,
      events: events.map((event) => ({ ...event, day: dayOf(Date.parse(event.at)) })),
    }));
  },
);
