import { describe, expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import { fillTemplate } from '../fill/fillTemplate';
import type { RecordsFile } from '../records/recordsFile';
import { readTemplate } from '../template/text/readTemplate';
import type { Letter } from '../writing/letter';
import { WritingDesk } from '../writing/writingDesk';
import { fillIn } from './change/fillIn';
import { leaveOut } from './change/leaveOut';
import { putBack } from './change/putBack';
import { eachNode, wordsOf } from '../document/eachNode';
import type { CopyBlock, CopyDocument, CopyNode, CopyWord } from '../document/copyDocument';
import type { ListItem, TableRow } from '../document/document';
import { readCopy } from '../document/readDocument';
import { openHoles, valuesOf } from './values';
import { writeCopy } from './writeCopy';

const start = { kind: 'invoice', key: 'K-1' } as const;

const RECORDS: RecordsFile = {
  business: { name: 'Larkfield Piano Care', phone: '01632 960144' },
  members: [{ key: 'imke', given_name: 'Imke', family_name: 'Sandoval' }],
  clients: [
    {
      key: 'c1',
      name: 'Thornholt College',
      kind: 'organisation',
      contacts: [
        { key: 'hale', given_name: 'Hale', email: 'hale@thornholt.example', uses: ['invoices'] },
        { key: 'wren', given_name: 'Wren', email: 'wren@thornholt.example' },
      ],
    },
  ],
  invoices: [
    invoice('K-1', '2026-10-01', [64200]),
    invoice('K-2', '2026-10-15', [9600, 1200]),
    invoice('K-3', '2026-10-20', [100], [100]),
  ],
};

function invoice(key: string, due_on: string, prices: number[], payments: number[] = []) {
  return {
    key,
    number: key,
    client: 'c1',
    status: 'sent',
    issued_on: '2026-09-01',
    due_on,
    lines: prices.map((unit_price, i) => ({ description: `Part ${i + 1}`, unit_price })),
    payments: payments.map((amount) => ({ amount, paid_on: '2026-10-21' })),
  };
}

const BODY = `Dear {{recipient.greeting_name}},

of invoice {{invoice.number}}, {{invoice.balance}} is still to come. It was due on {{invoice.due_on | date}}.

{{#when invoice.paid over 0}}
Thank you for the {{invoice.paid}}.
{{/when}}

| What | Sum |
|:--|--:|
{{#invoice.lines}}
| {{description}} | {{amount}} |
{{/invoice.lines}}

Please use order number {{invoice.notes}}. Ring me with questions.

{{signature}}
`;

function deskWith(...bodies: string[]): WritingDesk {
  const templates = bodies.map((body, i) => {
    const source = `---\nname: T${i}\ngroup: G\nstarts from: invoice\nsubject: 'Invoice {{invoice.number}}'\n---\n${body}`;
    return { ...readTemplate(source, 't.md').value!, key: `t${i}`, version: 1 };
  });
  const now = readMoment('2026-11-25T09:00:00Z')!;
  return new WritingDesk({ records: RECORDS, now, templates, passages: [], signatures: [], member: 'imke' });
}

const desk = deskWith(BODY, 'Hello {{recipient.greeting_name}},\n\nall is well.\n\n{{signature}}\n');

function begin(template = 't0'): Letter {
  const choices = { template, answers: {} };
  return { choices, document: desk.fill(start, choices)!.document };
}

/** The letter with words put behind others, as if typed. */
function typed({ choices, document }: Letter, after: string, words: string): Letter {
  const put = (node: CopyNode): CopyNode =>
    node.type === 'text' && node.text.endsWith(after)
      ? { ...node, text: node.text + words }
      : 'content' in node && node.content
        ? ({ ...node, content: node.content.map(put) } as CopyNode)
        : node;
  return { choices, document: readCopy(put(document)) };
}

/** The letter with the words of a value written over. */
function writtenOver({ choices, document }: Letter, said: string, words: string): Letter {
  const value = valuesOf(document).find((one) => one.said === said)!;
  return { choices, document: fillIn(document, new Set([value.id]), words) };
}

const lines = (document: CopyDocument) => document.content.map((block) => wordsOf(block));

describe('a fair copy', () => {
  it('writes out as the filled template does', () => {
    const template = desk.compile('t0');
    if (Array.isArray(template)) throw new Error(template.join());
    const filled = fillTemplate(template, desk.situation(start)!);
    const { subject, text, signatureAt, html } = writeCopy(begin().document);
    expect(subject).toBe(filled.subject);
    expect(text).toBe(filled.text);
    expect(signatureAt).toBe(filled.signatureAt);
    expect(text.slice(signatureAt)).toMatch(/^Imke Sandoval\n/);
    expect(html.replaceAll('\n', ' ')).toBe(filled.html.replaceAll('\n', ' '));
  });

  it('has its values under marks that say what the records say, and holes where they say nothing', () => {
    const { document } = begin();
    expect(valuesOf(document).map(({ said }) => said)).toEqual([
      'K-1',
      'Hale',
      'K-1',
      '£642.00',
      '1 October 2026',
      'Part 1',
      '£642.00',
    ]);
    expect(openHoles(document)).toEqual([{ id: expect.any(String), label: 'invoice notes' }]);
  });

  it('reads back what it wrote, and nothing else', () => {
    const { document } = begin();
    expect(readCopy(JSON.parse(JSON.stringify(document)))).toEqual(document);
    for (const wrong of [
      null,
      [],
      'x',
      { type: 'paragraph' },
      { type: 'doc', content: [] },
      { type: 'doc', content: [{ type: 'subject' }, { type: 'script' }] },
      { type: 'doc', content: [{ type: 'subject', content: [{ type: 'text', text: 7 }] }] },
      { type: 'doc', content: [{ type: 'subject' }, { type: 'subject' }] },
      {
        type: 'doc',
        content: [{ type: 'subject', content: [{ type: 'text', text: 'x', marks: [{ type: 'onclick' }] }] }],
      },
    ]) {
      expect(() => readCopy(wrong)).toThrow();
    }
  });

  it('keeps no link that may not be followed', () => {
    const link = { type: 'link', attrs: { address: 'javascript:alert(1)' } };
    const document = readCopy({
      type: 'doc',
      content: [
        { type: 'subject', content: [] },
        { type: 'paragraph', content: [{ type: 'text', text: 'x', marks: [link] }] },
      ],
    });
    expect(writeCopy(document).html).not.toContain('href');
  });
});

describe('another record', () => {
  it('changes what was not touched, lines and subject included', () => {
    const { document, choices } = desk.change(start, begin(), { invoice: 'K-2' });
    expect(document).toEqual(desk.fill(start, choices)!.document);
    expect(lines(document)[0]).toBe('Invoice K-2');
    expect(writeCopy(document).text).toContain('of invoice K-2, £108.00 is still to come.');
  });

  it('keeps a sentence typed into a paragraph, and the sums follow', () => {
    const letter = typed(begin(), ' is still to come. It was due on ', 'or before ');
    const { document } = desk.change(start, letter, { invoice: 'K-2' });
    expect(lines(document)[2]).toBe(
      'of invoice K-2, £108.00 is still to come. It was due on or before 15 October 2026.',
    );
  });

  it('keeps a paragraph of one’s own at its place', () => {
    const letter = begin();
    const own: CopyBlock = { type: 'paragraph', content: [{ type: 'text', text: 'We met on Friday.' }] };
    const content = [...letter.document.content.slice(0, 3), own, ...letter.document.content.slice(3)];
    const changed = desk.change(start, { ...letter, document: { type: 'doc', content } }, { invoice: 'K-3' });
    expect(lines(changed.document).slice(2, 5)).toEqual([
      'of invoice K-3, £0.00 is still to come. It was due on 20 October 2026.',
      'We met on Friday.',
      'Thank you for the £1.00.',
    ]);
  });

  it('keeps a value changed by hand, and remembers what the records say now', () => {
    const letter = writtenOver(begin(), '1 October 2026', 'Friday week');
    const { document } = desk.change(start, letter, { invoice: 'K-2' });
    expect(lines(document)[2]).toContain('It was due on Friday week.');
    expect(valuesOf(document).find(({ words }) => words === 'Friday week')?.said).toBe('15 October 2026');
  });

  it('leaves out what was taken out', () => {
    const letter = begin();
    const content = letter.document.content.filter((block) => block.type !== 'table');
    const { document } = desk.change(
      start,
      { ...letter, document: { type: 'doc', content } },
      { invoice: 'K-2' },
    );
    expect(document.content.some(({ type }) => type === 'table')).toBe(false);
    expect(lines(document)[0]).toBe('Invoice K-2');
  });

  it('follows a person, too', () => {
    const letter = typed(begin(), ',', ' hello');
    const { document } = desk.change(start, letter, { recipients: ['contact:wren'] });
    expect(lines(document)[1]).toBe('Dear Wren, hello');
    expect(desk.fill(start, { template: 't0', answers: {}, recipients: ['contact:wren'] })!.to).toEqual([
      { name: 'Wren', email: 'wren@thornholt.example' },
    ]);
  });

  it('fills a hole that the record has a fact for', () => {
    const records = {
      ...RECORDS,
      invoices: RECORDS.invoices!.map((one) => ({ ...one, ...(one.key === 'K-2' ? { notes: 'PO-7' } : {}) })),
    };
    const other = new WritingDesk({ ...desk.facts, records });
    const { document } = other.change(start, begin(), { invoice: 'K-2' });
    expect(openHoles(document)).toEqual([]);
    expect(writeCopy(document).text).toContain('order number PO-7.');
  });
});

describe('another template', () => {
  it('keeps only what was written by hand', () => {
    const letter = typed(begin(), ' is still to come. It was due on ', 'or before ');
    const own: CopyBlock = { type: 'paragraph', content: [{ type: 'text', text: 'We met on Friday.' }] };
    const mine = { ...letter, document: { ...letter.document, content: [...letter.document.content, own] } };
    const { document } = desk.change(start, mine, { template: 't1' });
    const words = lines(document).join('\n');
    expect(words).toContain('We met on Friday.');
    expect(words).toContain('or before');
    expect(words).toContain('all is well.');
    expect(words).not.toContain('still to come');
  });
});

describe('a hole', () => {
  const { document } = begin();
  const [hole] = openHoles(document);

  it('is filled by typing, and can be put back', () => {
    const filled = fillIn(document, new Set([hole!.id]), 'PO-12');
    expect(openHoles(filled)).toEqual([]);
    expect(writeCopy(filled).text).toContain('Please use order number PO-12. Ring me');
    expect(valuesOf(filled).find(({ id }) => id === hole!.id)).toEqual({
      id: hole!.id,
      said: '',
      words: 'PO-12',
    });
    expect(putBack(filled, hole!.id, document)).toEqual(document);
  });

  it('goes with its sentence, and stays away', () => {
    const without = leaveOut(document, hole!.id, 'en-GB');
    expect(lines(without)).toContain('Ring me with questions.');
    expect(openHoles(without)).toEqual([]);
    const changed = desk.change(start, { choices: begin().choices, document: without }, { invoice: 'K-2' });
    expect(lines(changed.document)).toContain('Ring me with questions.');
    expect(openHoles(changed.document)).toEqual([]);
  });

  it('takes a paragraph, item or row with it that has nothing else', () => {
    const alone = (node: CopyBlock): CopyDocument => ({
      type: 'doc',
      content: [{ type: 'subject', content: [] }, node],
    });
    const missing: CopyWord = { type: 'hole', attrs: { id: 'h', kind: 'field', label: 'x' } };
    const text = (words: string): CopyWord => ({ type: 'text', text: words });
    const cells = (...words: CopyWord[]): TableRow<CopyWord> => ({
      type: 'tableRow',
      content: words.map((one) => ({ type: 'tableCell', content: [one] })),
    });
    const left = (node: CopyBlock) => lines(leaveOut(alone(node), 'h', 'en-GB')).slice(1);
    expect(left({ type: 'paragraph', content: [text('Only '), missing, text('.')] })).toEqual([]);
    expect(left({ type: 'paragraph', content: [text('A. B '), missing, text('! C.')] })).toEqual(['A. C.']);
    expect(left({ type: 'paragraph', content: [text('A'), { type: 'break' }, missing] })).toEqual(['A']);
    expect(
      left({
        type: 'table',
        attrs: { align: [] },
        content: [cells(text('a'), text('b')), cells(text('c'), missing)],
      }),
    ).toEqual(['ab']);
    const item = (node: CopyWord): ListItem<CopyBlock> => ({
      type: 'listItem',
      content: [{ type: 'paragraph', content: [node] }],
    });
    expect(left({ type: 'bulletList', content: [item(text('a')), item(missing)] })).toEqual(['a']);
  });
});

it('every part of a letter has a name of its own', () => {
  const names = [...eachNode(begin().document)].flatMap(
    ({ attrs }) => (attrs && 'origin' in attrs && attrs.origin) || [],
  );
  expect(new Set(names).size).toBe(names.length);
});
