import { diffArrays } from 'diff';
import type { Template } from '../template/template';
import { pencilTokens, type PencilToken, type PencilNames } from './pencilTokens';

/** Words that stand in both of two versions, or in one of them. */
export interface ComparedWords {
  change: 'same' | 'went' | 'came';
  tokens: PencilToken[];
}

/** Two versions of a template compared in words: what went and what came, in the order in which they are read. */
export function compareVersions(before: Template, after: Template, pencil: PencilNames): ComparedWords[] {
  const parts = diffArrays(pencilTokens(before, pencil), pencilTokens(after, pencil), {
    comparator: (a, b) => a.type === b.type && a.words.trim() === b.words.trim() && a.source === b.source,
  });
  return parts.map(({ value, added, removed }) => ({
    change: added ? 'came' : removed ? 'went' : 'same',
    tokens: value,
  }));
}

/** What heads of two versions say otherwise, by what it is called in text: "note: for regulars → for all". */
export function changedHead(
  before: Template['head'],
  after: Template['head'],
): { what: string; was: string; is: string }[] {
  return HEAD.flatMap(([key, what]) => {
    const [was, is] = [before[key], after[key]].map(inWords);
    return was === is ? [] : { what, was: was!, is: is! };
  });
}

const HEAD = [
  ['name', 'name'],
  ['startsFrom', 'starts from'],
  ['writtenTo', 'written to'],
  ['from', 'from'],
  ['attach', 'goes along'],
  ['signature', 'signature'],
  ['letterhead', 'letterhead'],
  ['language', 'language'],
  ['note', 'note'],
  ['resting', 'resting'],
  ['mine', 'mine'],
] as const satisfies readonly (readonly [keyof Template['head'], string])[];

function inWords(value: string | boolean | readonly string[] | undefined): string {
  if (typeof value === 'boolean') return value ? 'yes' : '';
  return typeof value === 'object' ? value.join(', ') : (value ?? '');
}
