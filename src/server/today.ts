import { isoOf } from '../core/dates/civil';
import { wordsOf } from '../core/fairCopy/copyDocument';
import { formatsOf } from '../core/fill/formats/formatsOf';
import type { PastLetter } from '../core/fitting/fittingTemplates';
import { DAYS_AHEAD, occasionsOf, type Occasion } from '../core/occasions/occasionsOf';
import { proofLetter } from '../core/writing/proofLetter';
import { WritingDesk, type FilledLetter } from '../core/writing/writingDesk';
import { pastLetters } from '../data/repositories/pastLetters';
import { recordsOfBusiness } from '../data/repositories/recordsOfBusiness';
import { passagesOfBusiness, templatesWithWords } from '../data/repositories/templatesOfBusiness';
import { scopeWorthWriting } from '../data/repositories/worthWriting';
import { now } from './clock';
import { connection } from './connection';
import type { CurrentMember } from './currentMember';

/** Something worth writing now, with the letter that fits, filled. */
export interface TodayCard extends Omit<Occasion, 'rank'> {
  /** absent when no template fits */
  template?: { key: string; name: string };
  /** how the letter begins */
  beginning?: string;
  /** how many things keep it from going */
  stops: number;
}

export interface Today {
  /** "Wednesday 25 November" */
  date: string;
  iso: string;
  cards: TodayCard[];
  /** how many there are besides */
  more: number;
  visits: { key: string; time: string; name: string; service: string }[];
}

const MOST_CARDS = 40;

/** What is worth writing today, and the day's visits. */
export async function today({ business_id, id, key }: CurrentMember): Promise<Today> {
  const database = connection();
  const moment = now();
  const until = new Date(moment + (DAYS_AHEAD + 1) * 86_400_000);
  const scope = await scopeWorthWriting(database, business_id, new Date(moment), until);
  const [records, letters, templates, passages] = await Promise.all([
    recordsOfBusiness(database, business_id, scope),
    pastLetters(database, business_id, id, scope),
    templatesWithWords(database, business_id, id),
    passagesOfBusiness(database, business_id),
  ]);
  const desk = new WritingDesk({ records: records!, now: moment, templates, passages, member: key });
  const occasions = occasionsOf(desk.book, letters);
  const formats = formatsOf(desk.book);
  return {
    date: `${formats.date(desk.book.today, 'weekday')} ${formats.date(desk.book.today, 'day and month')}`,
    iso: isoOf(desk.book.today),
    cards: occasions.slice(0, MOST_CARDS).map((occasion) => cardOf(occasion, desk, letters)),
    more: Math.max(0, occasions.length - MOST_CARDS),
    visits: visitsToday(desk),
  };
}

function cardOf(
  { rank: _, ...occasion }: Occasion,
  desk: WritingDesk,
  letters: readonly PastLetter[],
): TodayCard {
  const situation = desk.situation(occasion.start)!;
  const [fit] = desk.fitting(situation, letters).fitting;
  const filled = fit && desk.fill(occasion.start, { template: fit.key, answers: {} });
  if (!filled) return { ...occasion, stops: 0 };
  const { marks } = proofLetter(filled.document, filled);
  return {
    ...occasion,
    template: { key: fit.key, name: filled.template.head.name },
    beginning: beginningOf(filled),
    stops: marks.filter(({ kind }) => kind === 'stop').length,
  };
}

const BEGINNING = 180;

/** The first words of a letter, in one line. */
function beginningOf({ document }: FilledLetter): string {
  let words = '';
  for (const block of document.content.slice(1)) {
    words += `${words && ' '}${wordsOf(block).replace(/\s+/g, ' ').trim()}`;
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
