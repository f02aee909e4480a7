import { describe, expect, it } from 'vitest';
import type { CopyBlock, CopyDocument } from '../document/copyDocument';
import { wordsOf } from '../document/eachNode';
import { bothChanged, noteBoth, takeTheirs, type BothNoted } from './bothChanged';
import { mergeCopies } from './mergeCopies';

const line = (text: string, origin?: string): CopyBlock => ({
  type: 'paragraph',
  ...(origin ? { attrs: { origin } } : {}),
  content: [{ type: 'text', text }],
});
const list = (origin: string, ...items: string[]): CopyBlock => ({
  type: 'bulletList',
  attrs: { origin },
  content: items.map((text, i) => ({
    type: 'listItem' as const,
    attrs: { origin: `${origin}.${i}` },
    content: [line(text, `${origin}.${i}.0`)],
  })),
});
const letter = (subject: string, ...blocks: CopyBlock[]): CopyDocument => ({
  type: 'doc',
  content: [{ type: 'subject', content: [{ type: 'text', text: subject }] }, ...blocks],
});

/** The parts in which both have changed, and the page as it is merged. */
function merged(base: CopyDocument, mine: CopyDocument, theirs: CopyDocument) {
  const parts: BothNoted = new Map();
  const document = mergeCopies(base, mine, theirs, (block) => noteBoth(parts, block));
  return { document, parts };
}

const base = letter('A visit', line('Hello,', 't:0'), line('we come on foot with one tool.', 't:1'));

describe('where the writer and the template have changed the same words', () => {
  const mine = letter('A visit', line('Hello,', 't:0'), line('we come by bus with one tool.', 't:1'));
  const theirs = letter('A visit', line('Hello,', 't:0'), line('we come by car with one tool.', 't:1'));

  it('what was written stays, and both are told', () => {
    const { document, parts } = merged(base, mine, theirs);
    expect(wordsOf(document.content[2]!)).toBe('we come by bus with one tool.');
    expect(bothChanged(document, theirs, parts)).toEqual([
      { origin: 't:1', mine: 'we come by bus with one tool.', theirs: 'we come by car with one tool.' },
    ]);
  });

  it('one press takes the other', () => {
    const { document, parts } = merged(base, mine, theirs);
    const taken = takeTheirs(document, theirs, 't:1');
    expect(taken).toEqual(theirs);
    expect(bothChanged(taken, theirs, parts)).toEqual([]);
  });

  it('nothing is told any more where the letter is filled as before again', () => {
    const { parts } = merged(base, mine, theirs);
    expect(bothChanged(mine, base, parts)).toEqual([]);
  });

  it('a subject and a list are told as wholes', () => {
    const before = letter('A visit', list('t:0', 'one tool', 'one lamp'));
    const own = letter('Our visit', list('t:0', 'two tools', 'one lamp'));
    const now = letter('Your visit', list('t:0', 'no tools', 'one lamp'));
    const { document, parts } = merged(before, own, now);
    expect(bothChanged(document, now, parts)).toEqual([
      { origin: '', mine: 'Our visit', theirs: 'Your visit' },
      { origin: 't:0', mine: 'two tools / one lamp', theirs: 'no tools / one lamp' },
    ]);
    expect(takeTheirs(takeTheirs(document, now, ''), now, 't:0')).toEqual(now);
  });
});

describe('nothing is told', () => {
  it.each([
    [
      'where only the writer has changed it',
      letter('A visit', line('Hi,', 't:0')),
      letter('A visit', line('Hello,', 't:0')),
    ],
    [
      'where only the template has',
      letter('A visit', line('Hello,', 't:0')),
      letter('A visit', line('Dear,', 't:0')),
    ],
    [
      'where both have written the same',
      letter('A visit', line('Hi,', 't:0')),
      letter('A visit', line('Hi,', 't:0')),
    ],
    [
      'where both have changed other words of a line',
      letter('A visit', line('Hello there, we come on foot by way of Saltby.', 't:0')),
      letter('A visit', line('Hello, we come on foot by way of Overstrand.', 't:0')),
    ],
    [
      'of a line of the writer’s own',
      letter('A visit', line('Hello,', 't:0'), line('See you.')),
      letter('A visit', line('Dear,', 't:0')),
    ],
  ])('%s', (what, mine, theirs) => {
    const was = what.includes('other words') ? 'Hello, we come on foot by way of Saltby.' : 'Hello,';
    const { document, parts } = merged(letter('A visit', line(was, 't:0')), mine, theirs);
    expect(bothChanged(document, theirs, parts)).toEqual([]);
  });
});
