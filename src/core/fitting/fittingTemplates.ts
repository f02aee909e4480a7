import { capital } from '../describe/capital';
import { dayAt, readMoment } from '../dates/zone';
import type { RecordBook } from '../records/recordBook';
import type { TemplateHead } from '../template/template';
import type { Formats } from '../fill/formats/formats';
import { formatsOf } from '../fill/formats/formatsOf';
import type { Schema } from '../records/schema';
import type { Situation, StartingPoint } from '../records/which/situation';
import { fitsWhen } from './fitsWhen';
import { foreignLanguage } from './foreignLanguage';
import { topicsOf, type AnyTemplate } from './listedTemplate';
import { momentOf, type Aptness } from './momentOf';
import { notOffered } from './notOffered';

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
  /** the addresses that it went to; absent: they are not known here */
  to?: string[];
  /** it came back */
  bounced?: true;
}

/** A template that can be chosen, and why it stands where it stands. */
export interface Fit {
  key: string;
  /** why it stands where it stands, in words */
  reason: string;
}

/** What was sent within so many days is hardly wanted again. */
const LATELY = 7;

/** What counts for a template, and against it; the sum of these is its place. */
const WEIGHT = {
  /** it is the moment for it; and against it, when it would say what is not so */
  moment: 4,
  /** its moment was some time ago */
  late: -3,
  /** it is for just these days: a visit that is near */
  near: 1,
  /** its owner has put another of its act's templates first */
  notFirst: -0.6,
  /** it says of which kind of record it is: “concert tuning” */
  particular: 1.2,
  /** it is for what has changed, which is seldom */
  changed: -1,
  /** it is written to a partner or a colleague, and the job has none, or has one */
  nobody: -6,
  others: -2,
  /** each time that the member has used it, so many times at most */
  use: 0.05,
  mostUses: 10,
  /** it was sent for this record before, or even lately */
  sent: -3,
  sentLately: -6,
  /** the client does not read its language */
  foreign: -100,
};

/** Acts that tell of a change. */
const CHANGES: ReadonlySet<string> = new Set(['visit moved', 'visit cancelled']);

/** The templates that can be filled from a record. */
export interface FittingTemplates {
  /** those for this record at this moment, likeliest first */
  fitting: Fit[];
  /** the others that can be filled from here, by key */
  others: ReadonlyMap<string, Fit>;
}

/**
 * Which templates fit a record: those that start from the same kind of record and would not say what is not so. Their
 * place is one sum (WEIGHT): whether its head says that it fits, or where that says nothing its words tell that it is the
 * moment for it, and whether that was long ago; what its owner has put first; whom it is written to; how often the member has used
 * it; that it was sent for this record before; that it is in a language which the client does not read. Two are not offered for one
 * reason: the second says what its own note says.
 * @param letters the letters written before: all about this record, and the member's own
 */
export function fittingTemplates(
  templates: readonly AnyTemplate[],
  situation: Situation,
  letters: readonly PastLetter[],
  schema: Schema,
): FittingTemplates {
  const formats = formatsOf(situation.book);
  const { start, sender, book } = situation;
  // Another record of the kind may have been taken instead.
  const record = situation[start.kind]?.record.key ?? start.key;
  const lettersFrom = byTemplate(letters);
  const firsts = new Set(templates.flatMap(({ head }) => (head.action?.first ? head.action.act : [])));
  const acts = new Map(templates.map(({ key, head }) => [key, head.action?.act]));
  const scored: { fit: Fit; score: number; fits: boolean }[] = [];
  for (const template of templates) {
    const { key, head } = template;
    if (notOffered(head, situation) !== undefined) continue;
    const own = lettersFrom.get(key) ?? [];
    const sent = own.findLast(({ about }) => about.kind === start.kind && about.key === record);
    const used = own.filter(({ member }) => member === sender.key).length;
    const sameStart = head.startsFrom === start.kind;
    const { apt, reason, late, near } = aptnessOf(template, schema, situation, formats);
    const foreign = foreignLanguage(head.language, situation);
    const sentOn = sent && dayOf(sent.at, book.zone);
    const words = [
      reason,
      sentOn === undefined && apt > 0 ? stillToDo(head, record, letters, acts, formats, book) : undefined,
      sentOn === undefined ? undefined : `sent on ${formats.date(sentOn, 'day and month')}`,
    ]
      .filter(Boolean)
      .join(', ');
    const use = used > 0 ? `You have used it ${times(used)}` : (head.note ?? '');
    scored.push({
      fit: { key, reason: foreign ?? (words ? capital(words) : use) },
      score:
        apt * WEIGHT.moment +
        (late && apt > 0 ? WEIGHT.late : 0) +
        (near && apt > 0 ? WEIGHT.near : 0) +
        (head.action && !head.action.first && firsts.has(head.action.act) ? WEIGHT.notFirst : 0) +
        (isParticular(head) ? WEIGHT.particular : 0) +
        (CHANGES.has(head.action?.act ?? '') ? WEIGHT.changed : 0) +
        forWhom(head, situation) +
        Math.min(used, WEIGHT.mostUses) * WEIGHT.use +
        (sentOn === undefined ? 0 : book.today - sentOn < LATELY ? WEIGHT.sentLately : WEIGHT.sent) +
        (foreign ? WEIGHT.foreign : 0),
      fits: sameStart && apt >= 0,
    });
  }
  scored.sort((a, b) => b.score - a.score);
  return {
    fitting: eachForItsOwn(
      scored.filter(({ fits }) => fits).map(({ fit }) => fit),
      templates,
    ),
    others: new Map(scored.filter(({ fits }) => !fits).map(({ fit }) => [fit.key, fit])),
  };
}

const grouped = new WeakMap<
  readonly PastLetter[],
  { count: number; groups: ReadonlyMap<string, PastLetter[]> }
>();

/** The letters by the template they are from; of the same letters it is asked for again and again. */
function byTemplate(letters: readonly PastLetter[]): ReadonlyMap<string, PastLetter[]> {
  let found = grouped.get(letters);
  if (found?.count !== letters.length) {
    const groups = new Map<string, PastLetter[]>();
    for (const letter of letters) {
      const group = groups.get(letter.template);
      if (group) group.push(letter);
      else groups.set(letter.template, [letter]);
    }
    grouped.set(letters, (found = { count: letters.length, groups }));
  }
  return found.groups;
}

/** Of two that would be offered for the same reason, the second says what its note says. */
function eachForItsOwn(fitting: readonly Fit[], templates: readonly AnyTemplate[]): Fit[] {
  const notes = new Map(templates.map(({ key, head }) => [key, head.note]));
  const said = new Set<string>();
  return fitting.map((fit) => {
    const note = notes.get(fit.key);
    const reason = said.has(fit.reason) && note ? note : fit.reason;
    said.add(reason);
    return { ...fit, reason };
  });
}

/** What of an act is still to do, or when it was done: “not yet confirmed”. */
function stillToDo(
  { action }: TemplateHead,
  record: string,
  letters: readonly PastLetter[],
  acts: ReadonlyMap<string, string | undefined>,
  formats: Formats,
  book: RecordBook,
): string | undefined {
  if (action?.act !== 'visit confirmed') return undefined;
  const done = letters.findLast(
    ({ template, about }) => acts.get(template) === action.act && about.key === record,
  );
  if (!done) return 'not yet confirmed';
  return `confirmed on ${formats.date(dayOf(done.at, book.zone), 'day and month')}`;
}

/** Whether a head asks for one kind of record by its name. */
function isParticular({ fitsWhen: condition }: TemplateHead): boolean {
  return JSON.stringify(condition ?? '').includes('.service"');
}

/** A letter to a partner is for a job that has one. */
function forWhom({ writtenTo = 'client' }: TemplateHead, { project }: Situation): number {
  if (writtenTo === 'client') return 0;
  const hasSome = writtenTo === 'member' || (project?.record.partners ?? []).length > 0;
  return hasSome ? WEIGHT.others : WEIGHT.nobody;
}

/** What a template's own head says, else what its words tell. */
function aptnessOf(template: AnyTemplate, schema: Schema, situation: Situation, formats: Formats): Aptness {
  const moment = momentOf(topicsOf(template), situation, formats);
  const holds = fitsWhen(template.head, schema, situation);
  const byDays = holds === false ? undefined : ofDaysTaken(template.head, situation);
  if (byDays) return byDays;
  if (holds === undefined) return moment;
  if (holds)
    return {
      ...(moment.reason && moment.apt >= 0 ? { reason: moment.reason } : {}),
      ...(moment.late ? { late: true } : {}),
      ...(moment.near ? { near: true } : {}),
      apt: 1,
    };
  return { apt: -1, reason: moment.reason && moment.apt < 0 ? moment.reason : 'Not the moment for it' };
}

/** Whoever asks for days is told that they are taken where none of them is free, and not where one is. */
function ofDaysTaken({ action }: TemplateHead, { daysTaken }: Situation): Aptness | undefined {
  if (action?.act !== 'enquiry day taken' || daysTaken === undefined) return undefined;
  return daysTaken
    ? { apt: 1, near: true, reason: 'None of the days asked for is free' }
    : { apt: -1, reason: 'A day asked for is free' };
}

function times(count: number): string {
  return count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`;
}

function dayOf(iso: string, zone: string): number {
  return dayAt(readMoment(iso) ?? 0, zone);
}
