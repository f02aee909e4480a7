import type { ShownLetter } from '../../core/contract/letters';
import { wallClockOf } from '../../core/dates/zone';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import type { KeptLetter } from '../../data/repositories/letters';
import { businessBook } from '../businessBook';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** Letters with their moments in the business's form. */
export const showLetters = forMember(
  async ({ business_id }: CurrentMember, letters: readonly KeptLetter[]): Promise<ShownLetter[]> => {
    if (letters.length === 0) return [];
    const book = await businessBook(business_id);
    const formats = formatsOf(book);
    const dayOf = (moment: number) => {
      const { day } = wallClockOf(moment, book.zone);
      if (book.today - day < 2) return `${formats.fromNow(day, book.today)} at ${formats.time(moment)}`;
      return formats.date(day, book.today - day < 300 ? 'day and month' : 'date');
    };
    return letters.map(({ at, events, html, notes: _, place: __, goes_in: ___, ...letter }) => ({
      ...letter,
      at: at.toISOString(),
      day: dayOf(at.getTime()),
      hasHtml: html !== null,
      events: events.map((event) => ({ ...event, day: dayOf(Date.parse(event.at)) })),
    }));
  },
);
