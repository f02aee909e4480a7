import { SAID } from '../../records/catalogue/said';
import type { FieldDefinition } from '../../records/catalogue/field';
import type { FieldType } from '../../records/fieldType';
import type { RecordKind } from '../../records/recordKind';
import type { Run } from '../run';
import { findStart, frameStart, type Start } from './pathStart';
import { hopFrom, type Found, type Hop } from './pathHop';
import type { Reason, Scope } from './scope';

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
  /** why the owner is the one that is meant, and why what it ends at is, where that is a record */
  reason: Reason;
  reasonAtEnd: Reason;
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

/** Judges a path by the list of fields (never by one client's records). Gives a message when it does not exist. */
export function resolvePath(path: string, scope: Scope): ResolvedPath | string {
  if (path === '.') {
    const frame = frameStart(scope, scope.frames.length - 1, '.');
    return frame
      ? assembled('.', frame, [], frame.label, frame.type)
      : '“.” stands for the value of a section, and there is none around it.';
  }
  const names = path.split('.');
  const start = findStart(names[0]!, scope);
  if (typeof start === 'string') return start;
  // A name found in the record of a section is itself the first hop, as "links" is from the business.
  const rest = start.name === '' || start.name === 'links' ? names : names.slice(1);
  let type = start.type;
  let label = start.label;
  let shown: Found['shown'] = {};
  const hops: Reached[] = [];
  for (let i = 0; i < rest.length; i++) {
    const before = names.slice(0, names.length - rest.length + i).join('.');
    const found = hopFrom(type, rest, i, before, scope);
    if (typeof found === 'string') return found;
    i += found.taken - 1;
    hops.push(found);
    ({ type, label, shown } = found);
  }
  return { ...assembled(path, start, hops, label, type), ...shown };
}

type Reached = Pick<Found, 'hop' | 'type' | 'label' | 'description'>;

/** What a path is, from where it begins and the hops that it makes. */
function assembled(
  path: string,
  start: Start,
  hops: readonly Reached[],
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
    reason: reasonAfter(start, hops.slice(0, toOwner)),
    reasonAtEnd: reasonAfter(start, hops),
    way: stations(start, hops.slice(0, toOwner)),
  };
}

/** Why a record, also one that another leads to: “who comes”, “the client’s next visit”. */
function reasonAfter({ reason }: Start, hops: readonly Reached[]): Reason {
  const last = hops.at(-1);
  if (!last) return reason;
  const said = last.description.charAt(0).toLowerCase() + last.description.slice(1);
  return ({ book }) => said.replace(/\bvisit\b/, book.words.booking);
}

function stations(start: Start, hops: readonly Reached[]): Station[] {
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
