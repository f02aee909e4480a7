import type { Schema } from '../../records/schema';
import type { Places, Problem } from '../../problems/problem';
import type { ReadPassage, Scope } from '../paths/scope';
import type { Signature, TemplateHead } from '../../template/template';
import type { SaidOtherwise } from './saidOtherwise';
import { compileCondition } from './condition';

/** What templates of a business are judged by. */
export interface CompileContext {
  schema: Schema;
  passages: ReadonlyMap<string, ReadPassage>;
  /** what letters are signed with; where none is given, with what is known of whoever writes, and no name is judged */
  signatures?: readonly Signature[];
  /** where the template's tags were read; a document from the database has none */
  places?: Places;
  /** the template's key: parts of different templates have different names */
  key?: string;
  /** what parts of the template say in one letter, by their names */
  otherwise?: Readonly<Record<string, SaidOtherwise>>;
  /** the name that problems are reported under */
  file?: string;
}

/** The scope at the top of a template: no section around, no passage entered. */
export function newScope(
  context: CompileContext,
  head: Pick<TemplateHead, 'name' | 'startsFrom' | 'signature' | 'language'>,
  problems: Problem[],
): Scope {
  return {
    schema: context.schema,
    startsFrom: head.startsFrom,
    language: head.language || context.schema.locale,
    frames: [],
    passages: context.passages,
    signatures: context.signatures ?? [],
    inside: [],
    inLink: false,
    ...(head.signature === undefined ? {} : { signature: head.signature }),
    blanks: new Map(),
    otherwise: context.otherwise ?? {},
    places: context.places ?? new WeakMap(),
    file: context.file ?? head.name,
    naming: { of: context.key === undefined ? '' : `${context.key}:`, parts: 0 },
    tally: {
      slots: new Map(),
      slotCount: 0,
      keptCount: 0,
      problems,
    },
    compileCondition,
  };
}
