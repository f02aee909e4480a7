import type { AnswersWaiting, Asks } from '../../core/contract/letters';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import { enquiryIn } from '../../core/incoming/enquiryIn';
import type { RecordBook } from '../../core/records/recordBook';
import { lettersOfKinds, type KeptLetter } from '../../data/repositories/letters';
import { workWays } from '../../data/repositories/records/workWays';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { showLetters } from '../letters/showLetters';
import { unreadMailboxes } from '../mailboxes/mailboxState';
import type { CurrentMember } from '../signIn/currentMember';

/** So many of each stand on a page; the next follow when these are dealt with. */
const MOST = 20;

/** What came in from people and waits to be answered. */
export const answersWaiting = forMember(async (member: CurrentMember): Promise<AnswersWaiting> => {
  const { business_id } = member;
  const [known = [], unknown = []] = await lettersOfKinds(
    connection(),
    business_id,
    ['waits, known', 'waits, unknown'],
    MOST + 1,
  );
  const shown = await showLetters(member, [...known.slice(0, MOST), ...unknown.slice(0, MOST)]);
  const ofKnown = Math.min(known.length, MOST);
  return {
    known: shown.slice(0, ofKnown),
    unknown: await withAsked(business_id, unknown.slice(0, MOST), shown.slice(ofKnown)),
    more: known.length > MOST || unknown.length > MOST,
    unread: await unreadMailboxes(member),
  };
});

async function withAsked(
  business_id: string,
  letters: readonly KeptLetter[],
  shown: AnswersWaiting['known'],
): Promise<AnswersWaiting['unknown']> {
  if (letters.length === 0) return [];
  const book = await businessBook(business_id);
  const services = (await workWays(connection(), business_id)).services.map(({ name }) => name);
  return shown.map((letter, at) => ({ letter, asks: asksOf(letters[at]!, book, services) }));
}

/** What a message from somebody unknown seems to ask. Undefined: it waits for nothing, or they are in the records. */
export const asksIn = forMember(
  async ({ business_id }: CurrentMember, letter: KeptLetter): Promise<Asks | undefined> => {
    if (!letter.waits || letter.client || letter.about) return undefined;
    const services = (await workWays(connection(), business_id)).services.map(({ name }) => name);
    return asksOf(letter, await businessBook(business_id), services);
  },
);

function asksOf(letter: KeptLetter, book: RecordBook, services: readonly string[]): Asks {
  const formats = formatsOf(book);
  const { days, message: _, email: __, ...asks } = enquiryInLetter(letter, book, services);
  return { ...asks, days: days.map((day) => formats.dayInWeek(day, book.today)) };
}

/** What a message that came in seems to ask. */
export function enquiryInLetter(
  { from_name, from_address, text }: Pick<KeptLetter, 'from_name' | 'from_address' | 'text'>,
  book: RecordBook,
  services: readonly string[],
) {
  const from = { name: from_name ?? '', address: from_address ?? '' };
  const { locale = 'en-GB' } = book.business;
  return enquiryIn({ from, text }, { locale, today: book.today, services });
}
