import { DERIVATIONS } from '../../records/derive/derivations';
import { SAID } from '../../records/catalogue/said';
import { ADDRESS_PARTS, CUSTOMISABLE } from '../../records/catalogue/catalogue';
import type { FieldDefinition } from '../../records/catalogue/field';
import { scalar, typeInWords, type FieldType } from '../../records/fieldType';
import type { AddressData } from '../../records/recordsFile';
import { isStartingKind, RECORD_KINDS, type RecordKind } from '../../records/recordKind';
import { LEADS_TO } from '../../records/which/situation';
import { didYouMean } from '../../problems/nearest';
import type { Frame, Run } from '../run';
import { readerOf } from '../values';
import { referenceOf } from './references';
import { ROOTS } from './roots';
import type { Scope } from './scope';
import { storedFact } from './storedFact';

/** A path that was found in the catalogue: its type, its words, and how to walk it. */
export interface ResolvedPath {
  path: string;
  type: FieldType;
  label: string;
  /** what it is called beside a letter */
  said: string;
  /** how it is shown where no step says otherwise, as the field's definition has it */
  shownAs?: FieldDefinition['shownAs'];
  readsAs?: FieldDefinition['readsAs'];
  /** the value, undefined when the record or the fact is missing */
  read: Read;
  /** the last record on the way, and its kind; where the way begins with no record, what it begins with */
  ownerKind: RecordKind | undefined;
  owner: Read;
  /** the path of the owner, in a section from the section's value on */
  ownerPath: string;
  /** where the way begins in a section, how many sections are around that one */
  depth: number | undefined;
  /** the value, read from an owner that is there */
  fact: Hop;
  reason: (run: Run) => string;
  /** what the way begins with, for messages about what is missing */
  root: string;
  /** the records on the way to the owner, in order: where it ends when the owner is not there */
  way: readonly Station[];
}

/** A record on a path's way, and what it is asked for next. */
interface Station {
  kind: RecordKind;
  read: Read;
  /** the label of the record that it leads to */
  next: string;
}

type Read = (run: Run) => unknown;

/** One step of a way, from what is there to what is meant; it is not gone where nothing is. */
type Hop = (value: never, run: Run) => unknown;

interface Start {
  name: string;
  type: FieldType;
  read: (run: Run) => unknown;
  reason: (run: Run) => string;
  label: string;
  /** where it is the value of a section, how many are around that one */
  depth?: number;
}

/** Judges a path by the list of fields (never by one client's records). Gives a message when it does not exist. */
export function resolvePath(path: string, scope: Scope): ResolvedPath | string {
  if (path === '.') {
    const frame = frameStart(scope, scope.frames.length - 1, '.');
    return frame
      ? walked('.', frame, [], frame.label, frame.type)
      : '“.” stands for the value of a section, and there is none around it.';
  }
  const names = path.split('.');
  const start = findStart(names[0]!, scope);
  if (typeof start === 'string') return start;
  // A name found in the record of a section is itself the first hop, as "links" is from the business.
  const rest = start.name === '' || start.name === 'links' ? names : names.slice(1);
  let type = start.type;
  let label = start.label;
  let shown: Shown = {};
  const hops: Walked[] = [];
  for (let i = 0; i < rest.length; i++) {
    const before = names.slice(0, names.length - rest.length + i).join('.');
    const found = hopFrom(type, rest, i, before, scope);
    if (typeof found === 'string') return found;
    i += found.taken - 1;
    hops.push({ hop: found.hop, type: found.type, label: found.label });
    ({ type, label, shown } = found);
  }
  return { ...walked(path, start, hops, label, type), ...shown };
}

type Walked = Pick<Found, 'hop' | 'type' | 'label'>;

function walked(
  path: string,
  start: Start,
  hops: readonly Walked[],
  label: string,
  type: FieldType,
): ResolvedPath {
  // The record that has the fact: the last one before the end, else the end itself.
  const types = [start.type, ...hops.map((hop) => hop.type)];
  const inner = types.slice(0, -1).findLastIndex((one) => one.kind === 'record');
  const last = inner < 0 ? types.findLastIndex((one) => one.kind === 'record') : inner;
  const kind = last < 0 ? undefined : (types[last] as { record: RecordKind }).record;
  const way = hops.map(({ hop }) => hop);
  const toOwner = Math.max(last, 0);
  const owner = toOwner === 0 ? start.read : from(start.read, along(way.slice(0, toOwner)));
  const fact = along(way.slice(toOwner));
  const names = path.split('.');
  return {
    path,
    type,
    label,
    said: (kind && SAID[kind]?.[names.at(-1)!]) ?? label,
    root: start.name || names[0]!,
    read: toOwner === way.length ? owner : from(owner, fact),
    ownerKind: kind,
    owner,
    ownerPath: names.slice(0, start.depth === undefined ? toOwner + 1 : toOwner).join('.'),
    depth: start.depth,
    fact,
    reason: start.reason,
    way: stations(start, hops.slice(0, toOwner)),
  };
}

function stations(start: Start, hops: readonly Walked[]): Station[] {
  const found: Station[] = [];
  let { type, read } = start;
  for (const { hop, type: next, label } of hops) {
    if (type.kind === 'record') found.push({ kind: type.record, read, next: label });
    read = from(read, hop);
    type = next;
  }
  return found;
}

/** Several hops as one, which ends early where something is missing. */
function along(hops: readonly Hop[]): Hop {
  const [first = (value) => value, ...others] = hops;
  return others.reduce(
    (before, hop) => (value, run) => {
      const next = before(value, run);
      return next === undefined ? undefined : hop(next as never, run);
    },
    first,
  );
}

function from(read: Read, hop: Hop): Read {
  return (run) => {
    const value = read(run);
    return value === undefined ? undefined : hop(value as never, run);
  };
}

/** Looks the first name up in the sections around, innermost first, then among the roots. */
function findStart(name: string, scope: Scope): Start | string {
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

function frameStart(scope: Scope, depth: number, name: '' | '.'): Start | undefined {
  const type = scope.frames[depth]?.type;
  if (!type) return undefined;
  return {
    name,
    type,
    depth,
    label: type.kind === 'record' ? type.record : type.kind,
    read: (run) => run.frames[depth]?.value,
    reason: (run) => {
      const frame = run.frames[depth];
      return frame && frame.count > 1 ? placeInList(frame) : 'the only one in the list';
    },
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

interface Found {
  hop: Hop;
  type: FieldType;
  label: string;
  taken: number;
  shown: Shown;
}

type Shown = Pick<FieldDefinition, 'shownAs' | 'readsAs'>;

function shownOf({ shownAs, readsAs }: FieldDefinition): Shown {
  return { ...(shownAs ? { shownAs } : {}), ...(readsAs === undefined ? {} : { readsAs }) };
}

function hopFrom(
  type: FieldType,
  names: readonly string[],
  at: number,
  before: string,
  scope: Scope,
): Found | string {
  const name = names[at]!;
  const prefix = before ? `${before}.` : '';
  if (type.kind === 'address') {
    if (!Object.hasOwn(ADDRESS_PARTS, name)) {
      return `An address has no part “${name}”.${didYouMean(name, Object.keys(ADDRESS_PARTS), prefix)}`;
    }
    return { ...addressPart(name), taken: 1 };
  }
  if (type.kind !== 'record') {
    const hint =
      type.kind === 'collection'
        ? ` It is ${typeInWords(type)}: use a section {{#${before}}} … {{/${before}}}, or a step such as “count”.`
        : ` It is ${typeInWords(type)} and has no parts.`;
    return `“${before}” has no field “${name}”.${hint}`;
  }
  const kind = type.record;
  if (name === 'custom' && CUSTOMISABLE.includes(kind)) {
    const fields = scope.schema.custom(kind);
    const key = names[at + 1];
    if (key === undefined) return `“${prefix}custom” needs the name of a custom field.${listed(fields)}`;
    const field = fields.get(key);
    if (!field) {
      return `The ${kind} has no custom field “${key}”.${didYouMean(key, fields.keys(), `${prefix}custom.`) || listed(fields)}`;
    }
    return { ...readBy(field, (data) => own(own(data, 'custom'), key)), taken: 2 };
  }
  if (name === 'links' && kind === 'business') {
    const key = names[at + 1];
    const link = key === undefined ? undefined : scope.schema.links.get(key);
    if (!link) return noLink(key, scope, `${prefix}links.`);
    return { ...readBy(link, (data) => linkAddress(data, key!)), taken: 2 };
  }
  const field = scope.schema.fields(kind).get(name);
  if (!field)
    return `The ${kind} has no field “${name}”.${didYouMean(name, fieldNames(scope, kind), prefix)}`;
  return { ...fieldHop(kind, field), taken: 1 };
}

function fieldHop(kind: RecordKind, field: FieldDefinition): Omit<Found, 'taken'> {
  const { key, type, label } = field;
  const found = { type, label, shown: shownOf(field) };
  const derive = DERIVATIONS[kind]?.[key];
  if (derive) return { ...found, hop: derive };
  if (field.refers) {
    const refer = referenceOf(kind, key);
    return { ...found, hop: (data, run) => refer(data as never, run.book) };
  }
  return { ...found, hop: storedFact(key, type) };
}

function readBy(field: FieldDefinition, get: (data: unknown) => unknown): Omit<Found, 'taken'> {
  const read = readerOf(field.type);
  return { type: field.type, label: field.label, shown: shownOf(field), hop: (data) => read(get(data)) };
}

function addressPart(name: string): Omit<Found, 'taken'> {
  if (name !== 'street')
    return { type: scalar('text'), label: name, shown: {}, hop: storedFact(name, scalar('text')) };
  return {
    type: scalar('long text'),
    label: name,
    shown: {},
    hop: (address) => (address as AddressData).street?.join('\n') || undefined,
  };
}

function linkAddress(business: unknown, key: string): unknown {
  const links = own(business, 'links') as { key: string; address: string }[] | undefined;
  return links?.find((link) => link.key === key)?.address;
}

function noLink(key: string | undefined, scope: Scope, prefix: string): string {
  if (key === undefined) return `“links” needs the key of a link.${listed(scope.schema.links)}`;
  return `There is no link “${key}”.${didYouMean(key, scope.schema.links.keys(), prefix) || listed(scope.schema.links)}`;
}

function listed(fields: ReadonlyMap<string, unknown>): string {
  return fields.size ? ` There are ${[...fields.keys()].slice(0, 12).join(', ')}.` : ' There are none yet.';
}

/** A property of its own only: no name from a prototype is a path. */
function own(data: unknown, key: string): unknown {
  return data !== null && typeof data === 'object' && Object.hasOwn(data, key)
    ? (data as Record<string, unknown>)[key]
    : undefined;
}

function fieldNames(scope: Scope, kind: RecordKind): string[] {
  return [...scope.schema.fields(kind).keys(), ...(CUSTOMISABLE.includes(kind) ? ['custom'] : [])];
}

function namesInFrames(scope: Scope): string[] {
  return scope.frames.flatMap(({ type }) => (type.kind === 'record' ? fieldNames(scope, type.record) : []));
}

function a(word: string): string {
  return /^[aeiou]/.test(word) ? `an ${word}` : `a ${word}`;
}
