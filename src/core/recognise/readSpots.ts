import { readDay, type Day } from '../dates/civil';
import { readMoment, wallClockOf } from '../dates/zone';
import type { PlainStep, Step } from '../document/step';
import { phoneNumber } from '../fill/formats/phone';
import { PHONE } from '../people/phonePattern';
import { namedSumsIn, sumsIn } from '../reading/sumsIn';
import { isDay, writtenDays, type WrittenDay } from '../reading/writtenDays';
import { writtenDurations } from '../reading/writtenDurations';
import { writtenTimes } from '../reading/writtenTimes';
import type { KnownFact } from './knownFacts';
import { sureOf, type Spots } from './spots';

/** How a letter’s figures stand. */
export interface Figures {
  /** BCP 47: the letter’s */
  locale: string;
  /** the business’s: how its telephone numbers are dialled */
  home: string;
  zone: string;
  currency: string;
  today: Day;
}

type Form = KnownFact['forms'][number];

/** Finds what is read by what it means, however it is written: days, times, sums, numbers to ring, durations. */
export function addRead(
  spots: Spots,
  text: string,
  facts: readonly KnownFact[],
  { locale, home, zone, currency, today }: Figures,
): void {
  const add = (
    from: number,
    to: number,
    fact: number,
    { steps, says }: Form,
    sure: number,
    words = text.slice(from, to),
  ) => spots.add(from, to, { fact, steps, says, sure: sureOf(sure, says, words) });
  const of = (...kinds: string[]) =>
    facts.flatMap((fact, at) => (kinds.includes(fact.type.kind) ? [{ ...fact, at }] : []));

  const days = of('date', 'moment', 'collection')
    .filter(({ path }) => !path.endsWith('end_time'))
    .map((fact) => ({ ...fact, day: dayOfRaw(fact, zone) }));
  const begins = new Map(days.map(({ path, day }) => [path, day]));
  for (const written of writtenDays(text, locale))
    for (const { day, at, forms, path } of days) {
      // What ends on the day on which it begins is told by when it begins.
      const ofBegin = path.endsWith('ends_at') && begins.get(path.replace(/ends_at$/, 'starts_at')) === day;
      if (day === undefined || ofBegin) continue;
      const words = text.slice(written.from, written.to);
      const counted = forms.find(({ steps, says }) => steps[0]?.step === 'plus' && says === words);
      if (counted) add(written.from, written.to, at, counted, 0.7);
      if (!isDay(written, day)) continue;
      const form = formOfDay(forms, written, words);
      if (form) add(written.from, written.to, at, form, surenessOfDay(written, day, today, path));
    }

  const moments = of('moment').map((fact) => ({ ...fact, minute: minuteOfRaw(fact, zone) }));
  for (const { from, to, minutes } of writtenTimes(text))
    for (const { minute, at, forms, path } of moments) {
      const form = path.endsWith('end_time') ? forms[0] : formBy(forms, 'time');
      if (form && minute !== undefined && minutes.includes(minute) && path !== 'now')
        add(from, to, at, form, 0.91);
    }

  const sums = of('money');
  for (const { from, to, amount } of [
    ...sumsIn(text, currency, locale),
    ...namedSumsIn(text, currency, locale),
  ])
    for (const { raw, at, forms } of sums) {
      if (amount === 0 || typeof raw !== 'number') continue;
      const words = text.slice(from, to);
      const same = forms.filter(({ steps }) => !isShare(steps));
      if (raw === amount) add(from, to, at, same.find(({ says }) => says === words) ?? same[0]!, 0.95);
      const part = forms.find(({ steps, says }) => isShare(steps) && says === words);
      if (part) add(from, to, at, part, 0.7);
    }

  const phones = of('phone');
  for (const match of text.matchAll(PHONE)) {
    const open = /^\((?![^)]*\))/.test(match[0]) ? 1 : 0;
    const number = match[0].slice(open);
    const from = match.index + open;
    const dialled = phoneNumber(number, 'international', home);
    for (const { raw, at, forms } of phones) {
      if (phoneNumber(String(raw), 'international', home) !== dialled) continue;
      const form = forms.find(({ says }) => says === number) ?? nearestPhone(forms, number);
      add(from, from + number.length, at, form, 0.98);
    }
  }

  const durations = of('duration');
  for (const { from, to, minutes } of writtenDurations(text))
    for (const { raw, at, forms } of durations) {
      const words = text.slice(from, to);
      if (raw === minutes) add(from, to, at, forms.find(({ says }) => says === words) ?? forms[0]!, 0.91);
    }
}

/** The day of a fact; of several the first. */
function dayOfRaw({ raw, type }: KnownFact, zone: string): Day | undefined {
  if (Array.isArray(raw)) return typeof raw[0] === 'string' ? readDay(raw[0]) : undefined;
  if (typeof raw !== 'string') return undefined;
  if (type.kind === 'date') return readDay(raw);
  const moment = readMoment(raw);
  return moment === undefined ? undefined : wallClockOf(moment, zone).day;
}

function minuteOfRaw({ raw }: KnownFact, zone: string): number | undefined {
  const moment = typeof raw === 'string' ? readMoment(raw) : undefined;
  return moment === undefined ? undefined : Math.floor(wallClockOf(moment, zone).time / 60_000);
}

function formBy(forms: readonly Form[], step: PlainStep): Form | undefined {
  return forms.find(({ steps }) => steps.length === 1 && steps[0]!.step === step);
}

function isShare(steps: readonly Step[]): boolean {
  return steps.some(({ step }) => step === 'share');
}

function nearestPhone(forms: readonly Form[], words: string): Form {
  return (words.startsWith('+') ? formBy(forms, 'international') : undefined) ?? forms[0]!;
}

/** What each form of a day says. */
const PARTS: readonly [PlainStep, readonly (keyof WrittenDay)[]][] = [
  ['date', ['day', 'month', 'year']],
  ['long date', ['weekday', 'day', 'month', 'year']],
  ['day and month', ['day', 'month']],
  ['weekday', ['weekday']],
  ['month', ['month', 'year']],
];

/** The form that writes the very words, else the one that says what they say and least besides. */
function formOfDay(forms: readonly Form[], written: WrittenDay, words: string): Form | undefined {
  const exact = forms.find(({ says }) => says === words);
  if (exact) return exact;
  const said = (['weekday', 'day', 'month', 'year'] as const).filter((part) => written[part] !== undefined);
  const first = forms.find(({ steps }) => steps[0]?.step === 'first');
  if (first) return first;
  // “3/12/26” is in figures.
  if (/^\d{1,2}[./]\d{1,2}[./]\d/.test(words)) return formBy(forms, 'short date');
  const nearest = PARTS.map(([step, parts]) => {
    const lost = said.filter((part) => !parts.includes(part)).length;
    const more = parts.filter((part) => !said.includes(part as 'day')).length;
    return { step, far: 2 * lost + more };
  }).sort((a, b) => a.far - b.far)[0]!.step;
  return nearest === 'date' ? forms.find(({ steps }) => steps.length === 0) : formBy(forms, nearest);
}

/** Days as far from today as this are hardly meant without their year. */
const FAR = 200;

function surenessOfDay({ day, month, year, weekday }: WrittenDay, is: Day, today: Day, path: string): number {
  if (path === 'now' || path.startsWith('now')) return 0;
  if (path === 'today') return day !== undefined && month !== undefined ? 0.85 : 0;
  const near = Math.abs(is - today) <= FAR;
  if (day !== undefined && month !== undefined) {
    if (year !== undefined) return 0.96;
    return near ? (weekday === undefined ? 0.94 : 0.96) : 0.6;
  }
  if (day !== undefined && weekday !== undefined) return near ? 0.85 : 0;
  // “the 10th”, of this month or the next
  if (day !== undefined) return Math.abs(is - today) <= 31 ? 0.75 : 0;
  if (month !== undefined) return 0.7;
  // Any Monday is one: of a visit or a day to pay by it may be this one.
  return Math.abs(is - today) <= 14 && !path.startsWith('enquiry.') ? 0.72 : 0.4;
}
