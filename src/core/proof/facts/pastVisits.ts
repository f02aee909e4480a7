import { dayAt, readMoment } from '../../dates/zone';
import { nameBooking } from '../../describe/nameRecord';
import { formatsOf } from '../../fill/formats/formatsOf';
import type { RecordBook } from '../../records/recordBook';
import { cuesOf, type Cues } from '../../reading/cues';
import { datesIn } from '../../reading/datesIn';
import { bodyOf, isSaidByField, type Line } from '../reading/lines';
import { sentenceAt } from '../reading/sentenceAt';
import type { Check, Proofed, ProofMark } from '../proofMark';

/** When a visit is. */
const WHEN = /(?:^|\.)(?:starts_at|ends_at|date|end_time|days_until)$/;

/** A visit that is over, or a day that has gone, spoken of as coming. */
export const checkPastVisits: Check = (letter, { book }) => {
  const cues = cuesOf(letter.language);
  if (!cues) return [];
  const body = bodyOf(letter.lines);
  return [...pastByFields(letter, body, cues, book), ...pastByHand(letter, body, cues, book)];
};

function pastByFields(
  { notes, language }: Proofed,
  body: readonly Line[],
  cues: Cues,
  book: RecordBook,
): ProofMark[] {
  const said = new Map(notes.map((note) => [note.id, note]));
  const told = new Set<string>();
  return body.flatMap((line) =>
    line.values.flatMap(({ id, from, to }): ProofMark[] => {
      const note = said.get(id);
      const key = note?.record?.startsWith('booking:') ? note.record.slice('booking:'.length) : undefined;
      const booking = key === undefined ? undefined : book.bookings.get(key);
      if (!booking || !note || !WHEN.test(note.path) || told.has(booking.key)) return [];
      const end = readMoment(booking.ends_at ?? booking.starts_at ?? '');
      if (end === undefined || end >= book.now || booking.status === 'cancelled') return [];
      if (!isSpokenOfAsComing(sentenceAt(line.text, from, language), cues)) return [];
      told.add(booking.key);
      const { name, note: when } = nameBooking(book, { ...booking, status: 'confirmed' });
      return [
        {
          kind: 'query',
          id: `past booking:${booking.key}`,
          message: `The ${name}, ${when}, is over, and the letter speaks of it as coming.`,
          at: { line: line.index, from, to },
        },
      ];
    }),
  );
}

function pastByHand(
  { asFilled, language }: Proofed,
  body: readonly Line[],
  cues: Cues,
  book: RecordBook,
): ProofMark[] {
  const known = new Set(
    asFilled.flatMap(({ text }) => datesIn(text, language, book.today)).map(({ day }) => day),
  );
  return body.flatMap((line) =>
    datesIn(line.text, language, book.today).flatMap(({ from, to, day }): ProofMark[] => {
      if (day >= dayAt(book.now, book.zone) || known.has(day) || isSaidByField(line, from, to)) return [];
      if (!isSpokenOfAsComing(sentenceAt(line.text, from, language), cues)) return [];
      const words = line.text.slice(from, to);
      return [
        {
          kind: 'query',
          id: `past day ${words}`,
          message: `“${words}” was ${formatsOf(book).fromNow(day, book.today)}, and the letter speaks of it as coming.`,
          at: { line: line.index, from, to },
        },
      ];
    }),
  );
}

function isSpokenOfAsComing(sentence: string, { coming, over }: Cues): boolean {
  return coming.test(sentence) && !over.test(sentence);
}
