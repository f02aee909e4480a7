import { expect, it } from 'vitest';
import type { CopyDocument } from '../../document/copyDocument';
import { wordsOf } from '../../document/eachNode';
import { readCopy } from '../../document/readDocument';
import { putParagraphs } from './putParagraphs';

const letter: CopyDocument = {
  type: 'doc',
  content: [
    { type: 'subject', content: [] },
    { type: 'paragraph', content: [{ type: 'text', text: 'Hello' }] },
    { type: 'paragraph', content: [{ type: 'text', text: 'Yours' }] },
  ],
};
const shown = ({ content }: CopyDocument) => content.slice(1).map((block) => wordsOf(block));

it('puts each line in as a paragraph of its own, and nothing for what is empty', () => {
  const put = putParagraphs(letter, 1, '  One.\r\n\r\nTwo.\n \nThree. ');
  expect(shown(put)).toEqual(['Hello', 'One.', 'Two.', 'Three.', 'Yours']);
  expect(readCopy(JSON.parse(JSON.stringify(put)))).toEqual(put);
});

it('leaves a letter as it is where there are no words', () => {
  expect(putParagraphs(letter, 1, ' \n ')).toEqual(letter);
});

it('takes what looks like a field or a tag for words', () => {
  expect(shown(putParagraphs(letter, 2, '{{client.name}} <b>x</b>'))[2]).toBe('{{client.name}} <b>x</b>');
});
