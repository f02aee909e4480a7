import type { ShownLetter } from '../../core/contract/letters';
import { dayLately } from '../../core/describe/dayLately';
import { readMoment } from '../../core/dates/zone';
import { laterInWords } from '../../core/writing/laterMoments';
import type { KeptLetter } from '../../data/repositories/letters';
import { businessBook } from '../businessBook';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** Letters with their moments in the business's form. */
export const showLetters = forMember(
  async ({ business_id }: CurrentMember, letters: readonly KeptLetter[]): Promise<ShownLetter[]> => {
    if (letters.length === 0) return [];
    const book = await businessBook(business_id);
    const dayOf = dayLately(book);
    return letters.map(({ at, events, html, goes_at, notes: _, place: __, goes_in: ___, ...letter }) => ({
      ...letter,
      at: at.toISOString(),
      goes: goes_at && laterInWords(readMoment(goes_at)!, book),
      day: dayOf(at.getTime()),
      hasHtml: html !== null,
      events: events.map((event) => ({ ...event, day: dayOf(Date.parse(event.at)) })),
    }));
  },
);
