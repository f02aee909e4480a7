import { describe, expect, it } from 'vitest';
import type { CopyDocument, CopyWord } from '../../document/copyDocument';
import { linesOf } from '../../proof/reading/lines';
import { valuesOf } from '../values';
import { putWords } from './putWords';

const text = (words: string, marks?: CopyWord['marks']): CopyWord => ({
  type: 'text',
  text: words,
  ...(marks ? { marks } : {}),
});
const letter = (...lines: CopyWord[][]): CopyDocument => ({
  type: 'doc',
  content: [
    { type: 'subject', content: [text('Visit')] },
    ...lines.map((content) => ({ type: 'paragraph' as const, content })),
  ],
});
const value = (said: string) => [{ type: 'value' as const, attrs: { id: 'v1', said } }];
const words = (document: CopyDocument) => linesOf(document).map((line) => line.text);

describe('other words are put', () => {
  const two = letter(
    [text('Hello '), text('Oda', value('Oda')), text(', we come.')],
    [text('Yours'), { type: 'break' }, text('Imke')],
  );

  it('in a line, across words of different looks', () => {
    const bold = letter([text('on '), text('Tues', [{ type: 'bold' }]), text('day, 3 March')]);
    const put = putWords(bold, { line: 1, from: 3, to: 10 }, 'Monday');
    expect(words(put)).toEqual(['Visit', 'on Monday, 3 March']);
    const [, line] = put.content;
    expect(line!.content).toEqual([text('on '), text('Monday', [{ type: 'bold' }]), text(', 3 March')]);
  });

  it('for a field’s: they stay its, by hand', () => {
    const put = putWords(two, { line: 1, from: 6, to: 9 }, 'Tom');
    expect(valuesOf(put)).toEqual([{ id: 'v1', said: 'Oda', words: 'Tom' }]);
  });

  it('and nothing else is touched', () => {
    const put = putWords(two, { line: 2, from: 0, to: 5 }, 'Ours');
    expect(put.content[1]).toBe(two.content[1]);
    expect(words(put)).toEqual(['Visit', 'Hello Oda, we come.', 'Ours\nImke']);
  });

  it('none: a break goes with them, and a line that has nothing left', () => {
    expect(words(putWords(two, { line: 2, from: 5, to: 10 }, ''))).toEqual([
      'Visit',
      'Hello Oda, we come.',
      'Yours',
    ]);
    expect(words(putWords(two, { line: 2, from: 0, to: 10 }, ''))).toEqual(['Visit', 'Hello Oda, we come.']);
    // A subject is there though it is empty.
    expect(words(putWords(two, { line: 0, from: 0, to: 5 }, ''))[0]).toBe('');
  });

  it('between others', () => {
    expect(words(putWords(two, { line: 1, from: 19, to: 19 }, ' Soon.'))[1]).toBe(
      'Hello Oda, we come. Soon.',
    );
    expect(words(putWords(two, { line: 1, from: 0, to: 0 }, 'Oh, '))[1]).toBe('Oh, Hello Oda, we come.');
    const empty: CopyDocument = { type: 'doc', content: [{ type: 'subject', content: [] }] };
    expect(words(putWords(empty, { line: 0, from: 0, to: 0 }, 'Visit'))).toEqual(['Visit']);
  });

  it('in the cell of a table, and nowhere when there is no such line', () => {
    const table: CopyDocument = {
      type: 'doc',
      content: [
        { type: 'subject', content: [] },
        {
          type: 'table',
          attrs: { align: [] },
          content: [
            {
              type: 'tableRow',
              content: [
                { type: 'tableCell', content: [text('one')] },
                { type: 'tableCell', content: [text('two')] },
              ],
            },
          ],
        },
      ],
    } as unknown as CopyDocument;
    expect(words(putWords(table, { line: 2, from: 0, to: 3 }, 'three'))).toEqual(['', 'one', 'three']);
    expect(putWords(table, { line: 7, from: 0, to: 3 }, 'three')).toBe(table);
  });
});
