import { dayAt, readMoment } from '../dates/zone';
import { formatsOf } from '../fill/formats/formatsOf';
import type { Situation, StartingPoint } from '../records/which/situation';
import { LEADS_TO } from '../records/which/situation';
import type { KeptTemplate } from '../writing/writingDesk';
import { momentOf } from './momentOf';
import { speaksOf } from './speaksOf';

/** A letter that was written before, as far as choosing the next one needs it. */
export interface PastLetter {
  /** the template's key */
  template: string;
  /** the record it was written from */
  about: StartingPoint;
  /** ISO moment */
  at: string;
  /** the key of the member who wrote it */
  member?: string;
}

export interface Fit {
  key: string;
  /** why it stands where it stands, in words */
  reason: string;
}

/** What was sent within so many days is hardly wanted again. */
const LATELY = 7;

export interface FittingTemplates {
  /** those for this record at this moment, likeliest first */
  fitting: Fit[];
  /** the others that can be filled from here, by key */
  others: ReadonlyMap<string, Fit>;
}

/**
 * Which templates fit a record, by three plain rules in this order: it starts from the same kind of record; it is for
 * the state the invoice is in, or the time there is to the visit; the member has used it before. One already sent for
 * this record stands further down, and far down when that was lately.
 * @param letters the letters written before: all about this record, and the member's own
 */
export function fittingTemplates(
  templates: readonly KeptTemplate[],
  situation: Situation,
  letters: readonly PastLetter[],
): FittingTemplates {
  const formats = formatsOf(situation.book);
  const { start, sender, book } = situation;
  // Another record of the kind may have been taken instead.
  const record = situation[start.kind]?.record.key ?? start.key;
  const scored: { fit: Fit; score: number; fits: boolean }[] = [];
  for (const template of templates) {
    const { key, head } = template;
    if (head.resting || head.kind === 'text' || !canStart(head.startsFrom, situation)) continue;
    const own = letters.filter((letter) => letter.template === key);
    const sent = own.findLast(({ about }) => about.kind === start.kind && about.key === record);
    const used = own.filter(({ member }) => member === sender.key).length;
    const sameStart = head.startsFrom === start.kind;
    const { apt, reason } = momentOf(speaksOf(template), situation, formats);
    const sentOn = sent && dayOf(sent.at, book.zone);
    const words = [
      reason,
      sentOn === undefined ? undefined : `sent on ${formats.date(sentOn, 'day and month')}`,
    ]
      .filter(Boolean)
      .join(', ');
    const use = used > 0 ? `You have used it ${times(used)}` : startsFromInWords(head.startsFrom);
    scored.push({
      fit: { key, reason: words ? capital(words) : use },
      score:
        apt * 4 + Math.min(used, 20) / 10 - (sentOn === undefined ? 0 : book.today - sentOn < LATELY ? 6 : 3),
      fits: sameStart && apt >= 0,
    });
  }
  scored.sort((a, b) => b.score - a.score);
  return {
    fitting: scored.filter(({ fits }) => fits).map(({ fit }) => fit),
    others: new Map(scored.filter(({ fits }) => !fits).map(({ fit }) => [fit.key, fit])),
  };
}

/** Whether the records a template starts from can be reached from here. */
function canStart(startsFrom: StartingPoint['kind'], situation: Situation): boolean {
  if (startsFrom === situation.start.kind || startsFrom === 'client') return true;
  return LEADS_TO[situation.start.kind].includes(startsFrom) && situation[startsFrom] !== undefined;
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function times(count: number): string {
  return count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`;
}

export function startsFromInWords(kind: StartingPoint['kind']): string {
  return `From ${/^[aeiou]/.test(kind) ? 'an' : 'a'} ${kind === 'booking' ? 'visit' : kind}`;
}

function dayOf(iso: string, zone: string): number {
  return dayAt(readMoment(iso) ?? 0, zone);
}
