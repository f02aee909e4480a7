import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { valueMark } from '../document/eachNode';
import type { CopyBlock, CopyDocument, CopyMark, CopyNode } from '../document/copyDocument';
import type { Text } from '../document/document';
import { mergeCopies } from './mergeCopies';
import { readCopy } from '../document/readDocument';
import { valuesOf } from './values';
import { writeCopy } from './writeCopy';

const WORDS = ['we', 'come', 'on', 'Friday', 'with', 'the', 'tools', 'thank', 'you'];

const word = fc.constantFrom(...WORDS).map((text): Text<CopyMark> => ({ type: 'text', text: `${text} ` }));
const bold = word.map((node): Text<CopyMark> => ({ ...node, marks: [{ type: 'bold' }] }));
const value = (records: string) =>
  fc.integer({ min: 0, max: 9 }).map((n): Text<CopyMark> => {
    const said = `${records}${n}`;
    return { type: 'text', text: said, marks: [{ type: 'value', attrs: { id: `v${n}`, said } }] };
  });
const words = (records: string) => fc.array(fc.oneof(word, bold, value(records)), { maxLength: 12 });

/** A place of the template is in a page once. */
function onceEach(page: CopyNode): CopyDocument {
  const seen = new Set<string>();
  const visit = (node: CopyNode): CopyNode =>
    'content' in node && node.content
      ? ({ ...node, content: (node.content as CopyNode[]).filter(isFirst).map(visit) } as CopyNode)
      : node;
  const isFirst = (node: CopyNode) => {
    const id = node.type === 'text' ? valueMark(node)?.id : undefined;
    return id === undefined || (!seen.has(id) && seen.add(id));
  };
  return readCopy(visit(page));
}

/** A page: blocks that came from the template, each once, some holding others. */
const page = (records: string): fc.Arbitrary<CopyDocument> =>
  fc
    .tuple(
      words(records),
      fc.uniqueArray(fc.integer({ min: 0, max: 12 }), { maxLength: 6 }),
      fc.array(words(records), { minLength: 8, maxLength: 8 }),
    )
    .map(([subject, origins, lines]) =>
      onceEach({
        type: 'doc',
        content: [
          {
            type: 'subject',
            content: subject.map(({ type, text, marks }) => ({
              type,
              text,
              ...(marks?.[0]?.type === 'value' ? { marks } : {}),
            })),
          },
          ...origins
            .sort((a, b) => a - b)
            .map((origin, i): CopyBlock =>
              origin % 4 === 3
                ? {
                    type: 'quote',
                    attrs: { origin: String(origin) },
                    content: [{ type: 'paragraph', attrs: { origin: `${origin}.0` }, content: lines[i]! }],
                  }
                : { type: 'paragraph', attrs: { origin: String(origin) }, content: lines[i]! },
            ),
        ],
      }),
    );

describe('merging', () => {
  it('gives what the template says now when nothing was changed by hand', () =>
    fc.assert(
      fc.property(page('A'), page('B'), (base, theirs) => {
        expect(mergeCopies(base, base, theirs)).toEqual(theirs);
      }),
    ));

  it('leaves a page as it is when the records say the same', () =>
    fc.assert(
      fc.property(page('A'), page('A'), (base, mine) => {
        expect(writeCopy(mergeCopies(base, mine, base)).text).toBe(writeCopy(mine).text);
      }),
    ));

  it('loses no sentence that was written by hand', () =>
    fc.assert(
      fc.property(page('A'), page('B'), fc.nat(), fc.boolean(), (base, theirs, at, own) => {
        const typed: CopyNode = { type: 'text', text: 'Typed-by-hand. ' };
        const content = [...base.content];
        const i = 1 + (at % Math.max(1, content.length - 1));
        const block = content[i];
        if (own || block?.type !== 'paragraph') content.splice(i, 0, { type: 'paragraph', content: [typed] });
        else content[i] = { ...block, content: [...block.content!, typed] };
        const mine = readCopy({ type: 'doc', content });
        const { text } = writeCopy(mergeCopies(base, mine, theirs));
        expect(text.split('Typed-by-hand.').length).toBe(2);
      }),
    ));

  it('never leaves a value that was not touched saying what another record said', () =>
    fc.assert(
      fc.property(page('A'), page('B'), fc.nat(), (base, theirs, at) => {
        const content = [...base.content];
        const i = 1 + (at % Math.max(1, content.length - 1));
        content.splice(i, 0, { type: 'paragraph', content: [{ type: 'text', text: 'mine' }] });
        const merged = mergeCopies(base, readCopy({ type: 'doc', content }), theirs);
        for (const { said, words: stand } of valuesOf(merged)) {
          expect(said).toMatch(/^B/);
          expect(stand).toBe(said);
        }
      }),
    ));

  it('gives a page that reads', () =>
    fc.assert(
      fc.property(page('A'), page('A'), page('B'), (base, mine, theirs) => {
        const merged = mergeCopies(base, mine, theirs);
        expect(readCopy(JSON.parse(JSON.stringify(merged)))).toEqual(merged);
      }),
    ));
});

describe('nothing in a page becomes markup', () => {
  it('whatever its words are', () =>
    fc.assert(
      fc.property(fc.string(), fc.string(), (words, said) => {
        const text: CopyNode = {
          type: 'text',
          text: words || 'x',
          marks: [{ type: 'value', attrs: { id: 'v', said } }],
        };
        const document = readCopy({
          type: 'doc',
          content: [
            { type: 'subject', content: [text] },
            { type: 'paragraph', content: [text, { type: 'hole', attrs: { id: 'h', label: said } }] },
          ],
        });
        const { html, subject } = writeCopy(document);
        expect(html.replace(/^<p style="[^"]*">|<\/p>$/g, '')).not.toMatch(/[<>]/);
        expect(subject).not.toMatch(/[\r\n]/);
      }),
    ));
});
