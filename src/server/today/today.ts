import type { BookingWords } from '../../core/records/bookingWords';
import { isoOf } from '../../core/dates/civil';
import { wordsOf } from '../../core/document/eachNode';
import { formatsOf } from '../../core/fill/formats/formatsOf';
import { occasionId, type Occasion } from '../../core/occasions/occasion';
import { occasionsOf } from '../../core/occasions/occasionsOf';
import { templateFor } from '../../core/occasions/templateFor';
import { fullName } from '../../core/people/names';
import { proofLetter } from '../../core/writing/proofLetter';
import { WritingDesk, type FilledLetter } from '../../core/writing/writingDesk';
import { businessSettings } from '../../data/repositories/businessSettings';
import { restingOccasions } from '../../data/repositories/occasionRests';
import { pastLetters } from '../../data/repositories/pastLetters';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import {
  passagesOfBusiness,
  templatesWithWords,
} from '../../data/repositories/templates/templatesOfBusiness';
import { scopeWorthWriting } from '../../data/repositories/worthWriting';
import { now } from '../clock';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** Something worth writing now, with the letter that fits, filled. */
export interface TodayCard extends Pick<Occasion, 'start' | 'name' | 'reason'> {
  /** names the occasion, to put it off */
  id: string;
  /** the member whose work it is, where that is another one */
  whose?: string;
  /** absent when no template fits */
  template?: { key: string; name: string };
  /** how the letter begins */
  beginning?: string;
  /** what keeps it from going, or wants to be looked at */
  open: number;
}

export interface Today {
  /** "Wednesday 25 November" */
  date: string;
  iso: string;
  cards: TodayCard[];
  /** how many there are besides */
  more: number;
  visits: { key: string; time: string; name: string; service: string }[];
  /** what the business calls a booking, and several */
  words: BookingWords;
}

const MOST_CARDS = 40;

/** How far ahead the rules look. */
const DAYS_AHEAD = 16;

/** What is worth writing today, and the day's visits. */
export const today = forMember(async ({ business_id, id, key }: CurrentMember): Promise<Today> => {
  const database = connection();
  const moment = now();
  const until = new Date(moment + DAYS_AHEAD * 86_400_000);
  const scope = await scopeWorthWriting(database, business_id, new Date(moment), until);
  const [records, letters, templates, passages, { reminderSpacing }] = await Promise.all([
    recordsOfBusiness(database, business_id, scope),
    pastLetters(database, business_id, id, scope),
    templatesWithWords(database, business_id, id),
    passagesOfBusiness(database, business_id),
    businessSettings(database, business_id),
  ]);
  const desk = new WritingDesk({ records: records!, now: moment, templates, passages, member: key });
  const { book } = desk;
  const found = occasionsOf(book, letters, { reminderSpacing });
  const resting = await restingOccasions(database, business_id, found.map(occasionId), isoOf(book.today));
  const open = found.flatMap((occasion) => {
    if (resting.has(occasionId(occasion))) return [];
    const template = templateFor(occasion, desk, letters);
    return template === 'done' ? [] : [{ occasion, template }];
  });
  const formats = formatsOf(book);
  return {
    date: `${formats.date(book.today, 'weekday')} ${formats.date(book.today, 'day and month')}`,
    iso: isoOf(book.today),
    cards: open.slice(0, MOST_CARDS).map(({ occasion, template }) => cardOf(occasion, template, desk, key)),
    more: Math.max(0, open.length - MOST_CARDS),
    visits: visitsToday(desk),
    words: book.words,
  };
});

function cardOf(occasion: Occasion, template: string | undefined, desk: WritingDesk, me: string): TodayCard {
  const { start, name, reason, member } = occasion;
  const whose =
    member === undefined || member === me ? undefined : fullName(desk.book.members.get(member) ?? {});
  const card = { id: occasionId(occasion), start, name, reason, ...(whose ? { whose } : {}) };
  const filled = template === undefined ? undefined : desk.fill(start, { template, answers: {} });
  if (!filled || template === undefined) return { ...card, open: 0 };
  const { marks } = proofLetter(filled.document, filled);
  return {
    ...card,
    template: { key: template, name: filled.template.head.name },
    beginning: beginningOf(filled),
    open: marks.length,
  };
}

const BEGINNING = 180;

/** The first words of a letter, in one line; a table is passed over, and what is missing is dots. */
function beginningOf({ document }: FilledLetter): string {
  let words = '';
  for (const block of document.content.slice(1)) {
    if (block.type === 'table') words += words && ' …';
    else words += `${words && ' '}${wordsOf(block, '…').replace(/\s+/g, ' ').trim()}`;
    if (words.length >= BEGINNING) return `${words.slice(0, BEGINNING).replace(/\s+\S*$/, '')} …`;
  }
  return words;
}

function visitsToday({ book }: WritingDesk): Today['visits'] {
  const formats = formatsOf(book);
  return [...book.bookings.values()]
    .filter(({ starts_at, status }) => starts_at && status !== 'cancelled')
    .map((booking) => ({ booking, start: Date.parse(booking.starts_at!) }))
    .filter(({ start }) => formats.dayOf(start) === book.today)
    .map(({ booking, start }) => ({
      key: booking.key,
      time: formats.time(start),
      name: book.clients.get(booking.client ?? '')?.name ?? '',
      service: booking.service ?? '',
    }));
}
