import type { FieldType } from '../../records/fieldType';
import type { StartingKind } from '../../records/recordKind';
import type { Schema } from '../../records/schema';
import { byName } from '../../template/naming';
import type { Passage, Signature } from '../../template/template';
import type { Place, Places, Problem } from '../../problems/problem';
import type { Condition } from '../../document/step';
import type { BlankDefinition } from '../blanks';
import type { SaidOtherwise } from '../compile/saidOtherwise';
import type { Run } from '../run';

/** A passage as read, with the places of its tags. */
export interface ReadPassage {
  passage: Passage;
  places: Places;
}

/** The passages of a business by the key that templates are kept with, or by the name that text says. */
export function readPassages(
  passages: readonly Passage[],
  by: 'key' | 'name' = 'key',
): ReadonlyMap<string, ReadPassage> {
  const called = by === 'name' ? byName(passages) : new Map(passages.map((one) => [one.key, one]));
  return new Map([...called].map(([name, passage]) => [name, { passage, places: new WeakMap() }]));
}

/** A section: the type of the values it stands in, and a slot for each path that begins with one of them. */
interface FrameScope {
  type: FieldType;
  /** why the record is the one that it stands in; absent: it is one of a list */
  reason?: Reason;
  slots: Map<string, number>;
}

/** What is counted through a whole template while it is compiled, whatever part of it is. */
interface Tally {
  /** where a filling keeps what fields are read from: a slot for each path that begins with no section */
  slots: Map<string, number>;
  /** how many slots there are, those of sections among them */
  slotCount: number;
  /** how many fields are kept */
  keptCount: number;
  problems: Problem[];
}

/** Everything a part of a template is judged by, where it stands, while it is compiled. */
export interface Scope {
  schema: Schema;
  startsFrom: StartingKind;
  /** BCP 47: what the template is written in */
  language: string;
  /** the sections around this part, outermost first */
  frames: readonly FrameScope[];
  passages: ReadonlyMap<string, ReadPassage>;
  /** what a letter may be signed with */
  signatures: readonly Signature[];
  /** the passages around this part, outermost first */
  inside: readonly string[];
  /** whether these words are those of a link, in which there can be no other */
  inLink: boolean;
  /** the signature that the head asks for, or "none"; absent: the usual one */
  signature?: string;
  blanks: ReadonlyMap<string, BlankDefinition>;
  /** what parts of the template say in one letter, by their names */
  otherwise: Readonly<Record<string, SaidOtherwise>>;
  /** the places of the file this part stands in */
  places: Places;
  file: string;
  /** names the parts of the template, each differently */
  naming: { of: string; parts: number };
  tally: Tally;
  /** compiles the condition of a `where`; here because conditions are made of steps again */
  compileCondition: (
    condition: Condition,
    scope: Scope,
    wrong: (message: string) => void,
  ) => (run: Run) => boolean;
}

/** Where a node was read; a document that was never a file has the first line of its name. */
export function placeOf(scope: Scope, node: object): Place {
  return scope.places.get(node) ?? { file: scope.file, line: 1, column: 1 };
}

/** A name for the next part of the template; the same at every compilation of the same template. */
export function nextPart({ naming }: Scope): string {
  return `${naming.of}${(naming.parts++).toString(36)}`;
}

/** Notes what is wrong with a node, with its place. */
export function report(scope: Scope, node: object, message: string): void {
  scope.tally.problems.push({ ...placeOf(scope, node), message });
}

/** Reports what is wrong with a part; what stands for it says nothing. */
export function refused(node: object, message: string, scope: Scope): () => void {
  report(scope, node, message);
  return () => {};
}

/** Why a record is the one that is meant. */
export type Reason = (run: Run) => string;

/** The scope inside a section over values of a type, or over the one record that a reason is given for. */
export function within(scope: Scope, type: FieldType, reason?: Reason): Scope {
  const frame = { type, slots: new Map(), ...(reason ? { reason } : {}) };
  return { ...scope, frames: [...scope.frames, frame] };
}
