import { ADDRESS_PARTS, CUSTOMISABLE } from '../../records/catalogue/catalogue';
import type { FieldType } from '../../records/fieldType';
import { isStartingKind, RECORD_KINDS } from '../../records/recordKind';
import { LEADS_TO } from '../../records/which/situation';
import { didYouMean } from '../../problems/nearest';
import type { Frame, Run } from '../run';
import { fieldNames } from './pathHop';
import { ROOTS } from './roots';
import type { Reason, Scope } from './scope';

/** What a path begins with: a root, or the value of a section. */
export interface Start {
  name: string;
  type: FieldType;
  read: (run: Run) => unknown;
  reason: Reason;
  label: string;
  /** where it is the value of a section, how many are around that one */
  depth?: number;
}

/** Looks the first name up in the sections around, innermost first, then among the roots. */
export function findStart(name: string, scope: Scope): Start | string {
  for (let depth = scope.frames.length - 1; depth >= 0; depth--) {
    const { type } = scope.frames[depth]!;
    const has =
      type.kind === 'record'
        ? scope.schema.fields(type.record).has(name) ||
          (name === 'custom' && CUSTOMISABLE.includes(type.record)) ||
          (name === 'links' && type.record === 'business')
        : type.kind === 'address' && Object.hasOwn(ADDRESS_PARTS, name);
    if (has) return frameStart(scope, depth, '')!;
  }
  const root = ROOTS.get(name);
  if (root) {
    if (isStartingKind(name) && !LEADS_TO[scope.startsFrom].includes(name)) {
      return `A message written from ${a(scope.startsFrom)} leads to no ${name}; it leads to ${LEADS_TO[scope.startsFrom].join(', ')}.`;
    }
    return { ...root, name };
  }
  if ((RECORD_KINDS as readonly string[]).includes(name)) {
    return `There is no single ${name} to write about: use a section over a list of them, as {{#${LISTS[name] ?? 'client.contacts'}}}.`;
  }
  const near = didYouMean(name, [...namesInFrames(scope), ...ROOTS.keys()]);
  return `There is no field or record “${name}”.${near}`;
}

const LISTS: Record<string, string> = {
  item: 'booking.items',
  contact: 'client.contacts',
  partner: 'project.partners',
  line: 'invoice.lines',
  payment: 'invoice.payments',
  instalment: 'invoice.instalments',
};

/** The value of a section as the beginning of a path; undefined where there is no such section. */
export function frameStart(scope: Scope, depth: number, name: '' | '.'): Start | undefined {
  const around = scope.frames[depth];
  if (!around) return undefined;
  const { type } = around;
  return {
    name,
    type,
    depth,
    label: type.kind === 'record' ? type.record : type.kind,
    read: (run) => run.frames[depth]?.value,
    reason:
      around.reason ??
      ((run) => {
        const frame = run.frames[depth];
        return frame && frame.count > 1 ? placeInList(frame) : 'the only one in the list';
      }),
  };
}

function placeInList({ index, count }: Frame): string {
  const kept = count <= LONGEST_KEPT ? (PLACES[count] ??= []) : undefined;
  const words = kept?.[index] ?? `number ${index + 1} of ${count} in the list`;
  if (kept) kept[index] = words;
  return words;
}

/** Lists are short and many: the words for their places are put together once, by length and index. */
const PLACES: string[][] = [];
const LONGEST_KEPT = 50;

function namesInFrames(scope: Scope): string[] {
  return scope.frames.flatMap(({ type }) => (type.kind === 'record' ? fieldNames(scope, type.record) : []));
}

function a(word: string): string {
  return /^[aeiou]/.test(word) ? `an ${word}` : `a ${word}`;
}
