import type { Day } from '../dates/civil';
import { dayAt, readMoment } from '../dates/zone';
import type { PastLetter } from '../fitting/fittingTemplates';
import type { RecordBook } from '../records/recordBook';

const known = new WeakMap<readonly PastLetter[], { book: RecordBook; count: number; past: PastLetters }>();

/** The same for the same letters and records: it is asked for with every occasion. */
export function pastLettersOf(letters: readonly PastLetter[], book: RecordBook): PastLetters {
  let found = known.get(letters);
  if (found?.book !== book || found.count !== letters.length)
    known.set(letters, (found = { book, count: letters.length, past: new PastLetters(letters, book) }));
  return found.past;
}

/** What was written before, by the record it was written about. */
export class PastLetters {
  private readonly about = new Map<string, { day: Day; template: string }[]>();

  constructor(letters: readonly PastLetter[], book: RecordBook) {
    for (const { about, at, template } of letters) {
      const key = `${about.kind}:${about.key}`;
      const own = this.about.get(key) ?? [];
      own.push({ day: dayAt(readMoment(at) ?? book.now, book.zone), template });
      this.about.set(key, own);
    }
  }

  /** The day of the last letter about a record; undefined where there is none. */
  lastAbout(kind: string, key: string): Day | undefined {
    const days = (this.about.get(`${kind}:${key}`) ?? []).map(({ day }) => day);
    return days.length ? Math.max(...days) : undefined;
  }

  /** Whether anything was written about a record from a day on. */
  anySince(kind: string, key: string, day: Day): boolean {
    return (this.lastAbout(kind, key) ?? -Infinity) >= day;
  }

  /** The templates of the letters about a record from a day on. */
  templatesSince(kind: string, key: string, day: Day): ReadonlySet<string> {
    const own = this.about.get(`${kind}:${key}`) ?? [];
    return new Set(own.filter((letter) => letter.day >= day).map(({ template }) => template));
  }
}
