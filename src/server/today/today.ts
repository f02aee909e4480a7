import type { Today, TodayCard } from '../../core/contract/today';
import { readDay } from '../../core/dates/civil';
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
import { ownRows, signaturesIn } from '../../data/repositories/ownRows';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { passagesOfBusiness, templatesByKey } from '../../data/repositories/templates/templatesOfBusiness';
import {
  MOST_OF_AN_ACT,
  visitsOfDay,
  worthWriting,
  type Candidate,
} from '../../data/repositories/worthWriting';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { lookingFor } from './lookingFor';
import { standingTemplates } from '../templates/standingTemplates';

const MOST_CARDS = 30;

/** What is worth writing today, and the day's visits. */
export const today = forMember(async (member: CurrentMember): Promise<Today> => {
  const { business_id, id, key } = member;
  const database = connection();
  const [own, templates, passages, settings] = await Promise.all([
    ownRows(database, business_id),
    standingTemplates(member),
    passagesOfBusiness(database, business_id),
    businessSettings(database, business_id),
  ]);
  const business = await businessBook(business_id, own);
  const listed = templates.map((template) => template.listed);
  const looking = lookingFor(business, listed, settings);
  const [candidates, visits] = await Promise.all([
    worthWriting(database, business_id, looking),
    visitsOfDay(database, business_id, looking),
  ]);
  const named = candidates.map((candidate) => ({
    ...candidate,
    id: occasionId({ ...candidate, since: readDay(candidate.since)! }),
  }));
  const ids = named.map((candidate) => candidate.id);
  const resting = await restingOccasions(database, business_id, ids, looking.today);
  const open = named.filter((candidate) => !resting.has(candidate.id));
  const shown = open.slice(0, MOST_CARDS);
  const scope = {
    clients: [...new Set(shown.flatMap(({ client_id }) => client_id ?? []))],
    enquiries: shown.flatMap(({ enquiry_id }) => enquiry_id ?? []),
  };
  const [records, letters] = await Promise.all([
    recordsOfBusiness(database, business_id, scope, own),
    pastLetters(database, business_id, id, scope),
  ]);
  const desk = new WritingDesk({
    records: records!,
    now: business.now,
    templates: listed,
    passages,
    signatures: own ? signaturesIn(own) : [],
    member: key,
  });
  const wanted = new Set(shown.map((candidate) => candidate.id));
  const cards = occasionsOf(desk.book, letters, settings).flatMap((occasion) => {
    const template = wanted.has(occasionId(occasion)) ? templateFor(occasion, desk, letters) : 'done';
    return template === 'done' ? [] : [{ occasion, template }];
  });
  const needed = [...new Set(cards.flatMap(({ template }) => template ?? []))];
  for (const template of await templatesByKey(database, business_id, id, needed)) desk.bring(template);
  const formats = formatsOf(business);
  return {
    date: formats.dayInWeek(business.today, business.today),
    iso: looking.today,
    cards: cards.map(({ occasion, template }) => cardOf(occasion, template, desk, key)),
    more: open.length - shown.length,
    uncounted: isCutOff(candidates),
    visits: visits.map(({ key: visit, starts_at, name, service }) => ({
      key: visit,
      time: formats.time(starts_at.getTime()),
      name: name ?? '',
      service: service ?? '',
    })),
    words: business.words,
  };
});

/** Whether more of an act may wait than were looked for. */
function isCutOff(candidates: readonly Candidate[]): boolean {
  const counts = new Map<string, number>();
  for (const { act } of candidates) counts.set(act, (counts.get(act) ?? 0) + 1);
  return Math.max(0, ...counts.values()) >= MOST_OF_AN_ACT;
}

function cardOf(occasion: Occasion, template: string | undefined, desk: WritingDesk, me: string): TodayCard {
  const { act, start, name, reason, member } = occasion;
  const whose =
    member === undefined || member === me ? undefined : fullName(desk.book.members.get(member) ?? {});
  const card = { id: occasionId(occasion), act, start, name, reason, ...(whose ? { whose } : {}) };
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
