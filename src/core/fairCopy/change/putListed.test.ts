import { describe, expect, it } from 'vitest';
import type { CopyBlock, CopyDocument } from '../../document/copyDocument';
import { wordsOf } from '../../document/eachNode';
import { readCopy } from '../../document/readDocument';
import { putListed } from './putListed';

const line = (words: string, origin?: string): CopyBlock => ({
  type: 'paragraph',
  ...(origin ? { attrs: { origin } } : {}),
  content: words ? [{ type: 'text', text: words }] : [],
});
const letter = (...blocks: CopyBlock[]): CopyDocument => ({
  type: 'doc',
  content: [{ type: 'subject', content: [] }, ...blocks],
});
/** Its blocks, lists with their items. */
const shown = ({ content }: CopyDocument) =>
  content
    .slice(1)
    .map((block) =>
      block.type === 'bulletList' ? block.content.map((item) => wordsOf(item)) : wordsOf(block),
    );

describe('words put in as an item', () => {
  const before = letter(line('Hello', 't:0'), line('These are free:'), line('Yours'));

  it('begin a list behind where the caret is, and go on with it', () => {
    const one = putListed(before, 2, 'Monday');
    expect(shown(one)).toEqual(['Hello', 'These are free:', ['Monday'], 'Yours']);
    expect(shown(putListed(one, 2, 'Tuesday'))[2]).toEqual(['Monday', 'Tuesday']);
    expect(shown(putListed(one, 3, 'Tuesday'))[2]).toEqual(['Monday', 'Tuesday']);
    expect(readCopy(JSON.parse(JSON.stringify(one)))).toEqual(one);
  });

  it('take the place of an empty line', () =>
    expect(shown(putListed(letter(line('Hello'), line(''), line('Yours')), 2, 'Monday'))).toEqual([
      'Hello',
      ['Monday'],
      'Yours',
    ]));

  it('leave a list of the template alone', () => {
    const list: CopyBlock = {
      type: 'bulletList',
      attrs: { origin: 't:3' },
      content: [
        { type: 'listItem', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'A' }] }] },
      ],
    };
    expect(shown(putListed(letter(line('Hello'), list), 1, 'Monday'))).toEqual(['Hello', ['Monday'], ['A']]);
  });
});
