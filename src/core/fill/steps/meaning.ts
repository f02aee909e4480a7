import type { FieldType } from '../../records/fieldType';
import type { Step } from '../../document/step';
import type { Scope } from '../paths/scope';
import type { Run } from '../run';
import type { WordWriter } from '../write/writer';

/**
 * Writes a value into the text and gives what it says, for the note.
 * @param owner what the record is called that has the fact, where that is known
 */
export type Show = (value: never, run: Run, words: WordWriter, owner?: string) => string;

/** What a step makes of a value. `apply` never sees a missing value; it gives undefined to make one. */
export interface Meaning {
  type: FieldType;
  apply: (value: never, run: Run) => unknown;
  /** whether the result holds nothing that would have to be escaped, whatever the value */
  plain?: true;
  /** how the result is written, where that is not its type's default form */
  show?: Show;
}

/** Judges a step for one type: its meaning, or a message when its argument does not fit. */
export type Judge<S extends Step = Step> = (step: S, type: FieldType, scope: Scope) => Meaning | string;

type Named<Name, S extends Step = Step> = S extends unknown ? (Name extends S['step'] ? S : never) : never;

/** The steps that a kind of value takes. A key is a step's name in the document model. */
export type StepTable = { readonly [Name in Step['step']]?: Judge<Named<Name>> };

/** A step that writes a value in figures and words of the locale. */
export function figures<V>(write: (value: V, run: Run) => string): () => Meaning {
  return () => ({ type: { kind: 'text' }, apply: write as Meaning['apply'], plain: true });
}

/** A step that writes a value as text. */
export function form<V>(write: (value: V, run: Run) => string): () => Meaning {
  return () => ({ type: { kind: 'text' }, apply: write as Meaning['apply'] });
}

/** A step that leaves the value and only says how it is written. */
export function same(): Judge {
  return (_, type) => ({ type, apply: (value) => value });
}
