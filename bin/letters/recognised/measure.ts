import type { CompileContext } from '../../../src/core/fill/compile/newScope';
import { CERTAIN, type Find } from '../../../src/core/recognise/find';
import { areAlike } from '../../../src/core/recognise/preference';
import { recognise } from '../../../src/core/recognise/recognise';
import type { Situation } from '../../../src/core/records/which/situation';
import type { Told, ToldLetter } from './toldLetters';

/** How well facts were found. */
export interface Measured {
  right: number;
  wrong: number;
  missed: number;
  /** of those that are certain */
  certainWrong: number;
  /** each by itself, in words */
  mistakes: string[];
  precision: number;
  recall: number;
}

/**
 * Measures what is found in letters whose facts are known: a find is right where it stands at the very place and is the fact, or one
 * that is the same for most clients (the recipient’s name for the client’s who is the recipient).
 */
export function measure(letters: readonly ToldLetter[], context: CompileContext): Measured {
  const counts = { right: 0, wrong: 0, missed: 0, certainWrong: 0 };
  const mistakes: string[] = [];
  for (const { name, letter, situation, facts } of letters) {
    const { finds } = recognise(letter, situation, context);
    const found = new Set<Told>();
    for (const find of finds) {
      const told = facts.find(({ start, end }) => start === find.start && end === find.end);
      if (told) found.add(told);
      if (told && isRight(find, told, situation)) {
        counts.right++;
        continue;
      }
      counts.wrong++;
      if (find.certainty >= CERTAIN) counts.certainWrong++;
      const what = told ? `, and is ${told.paths.join(' or ')}` : '';
      mistakes.push(`${name}: “${inLine(find.words)}” was taken for ${find.path} (${find.certainty})${what}`);
    }
    for (const told of facts) {
      if (told.row || found.has(told)) continue;
      counts.missed++;
      const words = inLine(letter.text.slice(told.start, told.end));
      mistakes.push(`${name}: “${words}” was not found: ${told.paths.join(' or ')}`);
    }
  }
  const { right, wrong, missed } = counts;
  return { ...counts, mistakes, precision: right / (right + wrong), recall: right / (right + missed) };
}

function isRight(find: Find, { paths, row, record }: Told, situation: Situation): boolean {
  if (paths.some((told) => areAlike(told, find.path))) return true;
  if (!row) return false;
  const [told = ''] = paths;
  // What a section stands in is said by the fact itself, and a list of one by the list.
  if (told === '.') return find.words === find.says;
  if (told === 'name') return find.path.endsWith('.items');
  const root = find.path.slice(0, find.path.length - told.length - 1);
  const choice = ['client', 'project', 'booking', 'invoice'].includes(root)
    ? situation[root as 'client']
    : undefined;
  return find.path === `${root}.${told}` && record === `${root}:${choice?.record.key}`;
}

function inLine(words: string): string {
  return words.replace(/\s*\n\s*/g, ' / ');
}
