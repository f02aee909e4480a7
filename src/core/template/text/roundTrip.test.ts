import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Block, Inline, Mark, TemplateDocument } from '../../document/templateDocument';
import { sortMarks } from '../../document/marks';
import { LineIndex } from '../../problems/problem';
import { printMarkdown } from './printMarkdown';
import { joined } from '../../document/marks';
import { readMarkdown } from './readMarkdown';

function read(text: string): TemplateDocument {
  const problems: { message: string }[] = [];
  const document = readMarkdown(text, new LineIndex(text, 't'), new WeakMap(), problems as never);
  if (problems.length) throw new Error(`${problems.map(({ message }) => message).join('\n')}\nin\n${text}`);
  return document;
}

describe('a body written in the printer’s way comes back to the letter', () => {
  it.each([
    'Hello {{client.name}},\n\n{{signature}}\n',
    '{{#a}}\n- {{name}}\n{{/a}}\n',
    '- one\n{{#a}}\n- two\n{{/a}}\n- three\n',
    '1. one\n{{#a}}\n2. two\n{{/a}}\n3. three\n',
    '| A | B |\n|---|--:|\n{{#a}}\n| {{x \\| upper}} | |\n{{/a}}\n'.replace('\\|', '|'),
    '::: {.center .large}\nText\n:::\n',
    '{{#when a}}\nx\n{{otherwise}}\ny\n{{/when}}\n',
    '**{{a}}** and [b]{.large .madder} and [c](https://x.example/{{d}}){.button}\n',
    '![x](y.png){width=10 link={{a}}}\n',
    'a \\{{ b\n',
    '> quoted\n\n---\n\n# Heading\n\n```\ncode {{a}}\n```\n',
    '{{> P}}\n\n{{! c }}\n',
  ])('%j', (text) => expect(printMarkdown(read(text))).toBe(text));
});

describe('any document that is printed and read is the same document', () => {
  const words = fc
    .string({
      unit: fc.constantFrom(...'ab,. *_[](){}<>#|`~!&;:\\\'"-+=1é🙂{{'),
      minLength: 1,
      maxLength: 12,
    })
    // Spaces at the edge of a paragraph, and runs of them, are no part of Markdown.
    .map((text) => `x${text.replace(/ +/g, ' ')}x`);
  const mark: fc.Arbitrary<Mark> = fc.oneof(
    fc.constantFrom<Mark>(
      { type: 'bold' },
      { type: 'italic' },
      { type: 'style', attrs: { style: 'large' } },
      { type: 'style', attrs: { style: 'moss' } },
    ),
    fc.constant<Mark>({
      type: 'link',
      attrs: { address: [{ type: 'text', text: 'https://x.example/a' }], button: true },
    }),
  );
  const marks = fc.array(mark, { maxLength: 2 }).map(sortMarks);
  const withMarks = (node: Inline, own: Mark[]): Inline =>
    own.length ? ({ ...node, marks: own } as Inline) : node;
  const leaf: fc.Arbitrary<Inline> = fc.oneof(
    fc.tuple(words, marks).map(([text, own]) => withMarks({ type: 'text', text }, own)),
    fc
      .tuple(fc.constantFrom('client.name', 'invoice.total'), marks)
      .map(([path, own]) =>
        withMarks({ type: 'field', attrs: { path, steps: [{ step: 'or', words: 'a | "b" }}' }] } }, own),
      ),
  );
  const inline: fc.Arbitrary<Inline[]> = fc
    .array(
      fc.oneof(
        { weight: 4, arbitrary: leaf },
        {
          weight: 1,
          arbitrary: fc.array(leaf, { minLength: 1, maxLength: 2 }).map((content): Inline => ({
            type: 'section',
            attrs: { path: 'a', steps: [] },
            content: joined(content),
          })),
        },
      ),
      { minLength: 1, maxLength: 4 },
    )
    .map(joined);
  const { block } = fc.letrec<{ block: Block }>((tie) => ({
    block: fc.oneof(
      { maxDepth: 2, withCrossShrink: true },
      inline.map((content): Block => ({ type: 'paragraph', content })),
      fc
        .tuple(fc.integer({ min: 1, max: 6 }), inline)
        .map(([level, content]): Block => ({ type: 'heading', attrs: { level }, content })),
      fc.array(inline, { minLength: 1, maxLength: 3 }).map((rows): Block => ({
        type: 'table',
        attrs: { align: [null] },
        content: [
          {
            type: 'tableRow',
            attrs: { header: true },
            content: [{ type: 'tableCell', content: [{ type: 'text', text: 'h' }] }],
          },
          {
            type: 'section',
            attrs: { path: 'rows', steps: [] },
            content: rows.map((content) => ({ type: 'tableRow', content: [{ type: 'tableCell', content }] })),
          },
        ],
      })),
      fc
        .array(tie('block'), { minLength: 1, maxLength: 2 })
        .map((content): Block => ({ type: 'quote', content })),
      // Markdown cannot say of one item with one block whether its list is tight.
      fc.array(inline, { minLength: 1, maxLength: 2 }).map((items): Block => ({
        type: 'bulletList',
        ...(items.length === 1 ? { attrs: { tight: true } } : {}),
        content: [{ type: 'listItem', content: items.map((content) => ({ type: 'paragraph', content })) }],
      })),
      fc
        .tuple(fc.boolean(), fc.array(inline, { minLength: 2, maxLength: 3 }))
        .map(([tight, items]): Block => ({
          type: 'orderedList',
          attrs: { ...(tight ? { tight } : {}), start: 3 },
          content: items.map((content) => ({ type: 'listItem', content: [{ type: 'paragraph', content }] })),
        })),
      // A section that holds nothing but a list is written as a list with a section inside.
      fc.array(tie('block'), { minLength: 1, maxLength: 2 }).map((content): Block => ({
        type: 'section',
        attrs: { path: 'b', steps: [], inverted: true },
        content: [{ type: 'rule' }, ...content],
      })),
      fc
        .array(tie('block'), { minLength: 1, maxLength: 2 })
        .map((content): Block => ({ type: 'styled', attrs: { styles: ['center'] }, content })),
    ),
  }));

  it('holds for generated documents', () => {
    fc.assert(
      fc.property(fc.array(block, { minLength: 1, maxLength: 3 }), (content) => {
        const text = printMarkdown({ type: 'doc', content });
        expect(read(text), text).toEqual({ type: 'doc', content });
      }),
      { numRuns: 400 },
    );
  });

  it.each(['{{x}}', '\\{{x', '{{{', 'a {{ b }} \\'])(
    'words that look like a tag stay words in addresses and descriptions: %s',
    (text) => {
      const line: Inline[] = [{ type: 'text', text }];
      const link: Mark = {
        type: 'link',
        attrs: { address: [{ type: 'text', text: `https://x.example/${text}` }] },
      };
      const content: Block[] = [
        {
          type: 'paragraph',
          content: [
            { type: 'text', text: 'w', marks: [link] },
            { type: 'image', attrs: { source: [{ type: 'text', text: `${text}.png` }], description: line } },
          ],
        },
      ];
      expect(read(printMarkdown({ type: 'doc', content }))).toEqual({ type: 'doc', content });
    },
  );

  it('holds for text of any characters: it reads, and what it prints reads the same', () => {
    const any = fc.string({
      unit: fc.constantFrom(...' \n\n*_[](){}<>#|`~!&:\\-+1a{{}}/#.^'),
      maxLength: 60,
    });
    fc.assert(
      fc.property(any, (text) => {
        const problems: never[] = [];
        const document = readMarkdown(text, new LineIndex(text, 't'), new WeakMap(), problems);
        if (problems.length) return;
        const printed = printMarkdown(document);
        expect(printMarkdown(read(printed)), JSON.stringify(text)).toBe(printed);
      }),
      { numRuns: 1500 },
    );
  });
});
