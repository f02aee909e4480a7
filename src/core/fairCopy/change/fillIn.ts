import { sortMarks } from '../../document/marks';
import { valueMark } from '../../document/eachNode';
import type { CopyDocument, CopyMark, CopyWord } from '../../document/copyDocument';
import { mapStretches } from './mapStretches';

/**
 * Writes words where a field is missing or says something else. They count as written by hand: they stay when
 * another record is taken, and can be put back.
 * @param ids the places; a fact that is missing is missing wherever it occurs
 */
export function fillIn(document: CopyDocument, ids: ReadonlySet<string>, words: string): CopyDocument {
  const typed = words.replace(/\s+$/, '');
  if (!typed.trim()) return document;
  return mapStretches(document, ({ id, nodes }) => {
    if (id === undefined || !ids.has(id)) return undefined;
    const [first] = nodes as [CopyWord];
    const said = valueMark(first)?.said ?? '';
    const kept = (first.marks ?? []).filter((mark) => mark.type !== 'value');
    const marks = sortMarks<CopyMark>([...kept, { type: 'value', attrs: { id, said } }]);
    return typed
      .split('\n')
      .flatMap((line, i): CopyWord[] => [
        ...(i > 0 ? [{ type: 'break' as const, marks }] : []),
        ...(line ? [{ type: 'text' as const, text: line, marks }] : []),
      ]);
  });
}
