import { getSchema } from '@tiptap/core';
import type { Node } from '@tiptap/pm/model';
import { Transform } from '@tiptap/pm/transform';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { Hole } from './hole';
import { LETTER_MARKS } from './letterMarks';
import { LETTER_NODES } from './letterNodes';
import { replaceWhatDiffers } from './replaceWhatDiffers';

const schema = getSchema([...LETTER_NODES, ...LETTER_MARKS, Hole]);

const word = fc.constantFrom(
  { type: 'text', text: 'aa' },
  { type: 'text', text: 'ab', marks: [{ type: 'bold' }] },
  { type: 'text', text: 'aa', marks: [{ type: 'value', attrs: { id: 'v', said: 'aa' } }] },
  { type: 'break' },
  { type: 'hole', attrs: { id: 'h', kind: 'field', label: 'x' } },
);
const paragraph = fc.array(word, { maxLength: 3 }).map((content) => ({ type: 'paragraph', content }));
const blocks = fc.array(
  fc.oneof(
    paragraph,
    fc.array(paragraph, { minLength: 1, maxLength: 2 }).map((content) => ({ type: 'quote', content })),
    fc.array(paragraph, { minLength: 1, maxLength: 2 }).map((items) => ({
      type: 'bulletList',
      content: items.map((item) => ({ type: 'listItem', content: [item] })),
    })),
    fc.constant({ type: 'rule' }),
  ),
  { minLength: 1, maxLength: 3 },
);
const page = blocks.map((content): Node =>
  schema.nodeFromJSON({ type: 'doc', content: [{ type: 'subject' }, ...content] }),
);

it('makes any page any other', () =>
  fc.assert(
    fc.property(page, page, (before, after) => {
      const transform = new Transform(before);
      replaceWhatDiffers(transform, after);
      expect(transform.doc.toJSON()).toEqual(after.toJSON());
    }),
    { numRuns: 500 },
  ));

it('leaves alone what is the same', () => {
  const of = (...lines: string[]) =>
    schema.nodeFromJSON({
      type: 'doc',
      content: [
        { type: 'subject' },
        ...lines.map((text) => ({ type: 'paragraph', content: [{ type: 'text', text }] })),
      ],
    });
  const transform = new Transform(of('one', 'two three', 'four'));
  replaceWhatDiffers(transform, of('one', 'two five', 'four'));
  expect(transform.mapping.map(3)).toBe(3);
  expect(transform.mapping.mapResult(8).deleted).toBe(false);
  expect(transform.steps).toHaveLength(1);
  const same = new Transform(transform.doc);
  replaceWhatDiffers(same, transform.doc);
  expect(same.steps).toHaveLength(0);
});
