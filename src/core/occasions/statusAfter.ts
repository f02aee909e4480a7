import { readMoment } from '../dates/zone';
import type { Situation } from '../records/which/situation';
import type { Act } from '../template/acts';

/** The kinds of record whose status may follow from a letter. */
export const STATUS_KINDS = ['enquiry', 'booking', 'project'] as const;
export type StatusKind = (typeof STATUS_KINDS)[number];

/** How a record stands once a letter about it has gone, if whoever wrote it says so. */
export interface StatusAfter {
  kind: StatusKind;
  key: string;
  from: string;
  to: string;
  /** "the enquiry", "the visit" */
  record: string;
}

/** What each act makes of its record, from where it makes sense. */
const AFTER: Readonly<Partial<Record<Act, Pick<StatusAfter, 'kind' | 'to'> & { from: readonly string[] }>>> =
  {
    'enquiry answered': { kind: 'enquiry', from: ['waiting'], to: 'answered' },
    'visit confirmed': { kind: 'booking', from: ['tentative'], to: 'confirmed' },
    'visit cancelled': { kind: 'booking', from: ['tentative', 'confirmed'], to: 'cancelled' },
    'visit done': { kind: 'booking', from: ['tentative', 'confirmed'], to: 'done' },
    'job begun': { kind: 'project', from: ['enquiry', 'planned'], to: 'active' },
    'job finished': { kind: 'project', from: ['planned', 'active'], to: 'finished' },
  };

/**
 * How the record that a letter is about may stand afterwards. Whatever is written to an enquiry answers it.
 * @param act the one that the letter's template belongs to
 */
export function statusAfter(act: Act | undefined, situation: Situation): StatusAfter | undefined {
  const done = situation.start.kind === 'enquiry' ? 'enquiry answered' : act;
  const after = done && AFTER[done];
  const record = after && situation[after.kind]?.record;
  if (!record || situation.start.kind !== after.kind) return undefined;
  const { key, status = '' } = record;
  if (!after.from.includes(status) || (after.to === 'done' && isToCome(situation))) return undefined;
  const { kind, to } = after;
  return { kind, key, from: status, to, record: `the ${nameOf(kind, situation)}` };
}

function isToCome({ booking, book }: Situation): boolean {
  const { ends_at, starts_at } = booking!.record;
  return (readMoment(ends_at ?? starts_at ?? '') ?? Infinity) > book.now;
}

function nameOf(kind: StatusKind, { book }: Situation): string {
  if (kind === 'booking') return book.words.booking;
  return kind === 'project' ? 'job' : kind;
}
