import { wallClockOf } from '../../core/dates/zone';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import type { RecordBook } from '../../core/records/recordBook';
import type { AnsweredMessage } from '../../core/writing/reply';
import { answeredMessage, type KeptAnswered } from '../../data/repositories/incoming/answeredMessage';
import { connection } from '../connection';

/** Who wrote when, by the language that is read; English elsewhere. */
const WROTE: Readonly<Record<string, (day: string, time: string, who: string) => string>> = {
  en: (day, time, who) => `On ${day} at ${time}, ${who} wrote:`,
  de: (day, time, who) => `Am ${day} um ${time} schrieb ${who}:`,
  fr: (day, time, who) => `Le ${day} à ${time}, ${who} a écrit :`,
};

/** The message that is to be answered, with the thread that it is of. Undefined: none came in of this id. */
export async function toAnswer(
  business_id: string,
  id: string,
  book: RecordBook,
  language: string,
): Promise<(AnsweredMessage & { thread_id: string }) | undefined> {
  const found = await answeredMessage(connection(), business_id, id);
  if (!found) return undefined;
  const { subject, text, thread_id, from_name: name, from_address: address } = found;
  return {
    id,
    thread_id,
    subject,
    from: { name, address },
    line: lineAbove(found, book, language),
    words: text,
  };
}

function lineAbove(
  { at, from_name, from_address }: KeptAnswered,
  book: RecordBook,
  language: string,
): string {
  const known = WROTE[language.slice(0, 2)];
  const formats = formatsOf(book, known ? language : 'en-GB');
  const moment = at.getTime();
  const day = formats.date(wallClockOf(moment, book.zone).day, 'date');
  return (known ?? WROTE.en!)(day, formats.time(moment), from_name || from_address);
}
