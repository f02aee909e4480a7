import { describe, expect, it } from 'vitest';
import type { CopyDocument } from '../document/copyDocument';
import { SAMPLE } from '../fill/test/fillSample';
import { readPassages } from '../fill/paths/scope';
import type { StartingKind } from '../records/recordKind';
import { RecordBook } from '../records/recordBook';
import type { ClientData, RecordsFile } from '../records/recordsFile';
import { schemaOf } from '../records/schema';
import { situationFrom } from '../records/which/situation';
import { printMarkdown } from '../template/text/printMarkdown';
import { letterText, type LetterText } from './letterText';
import { templateWords } from './templateWords';
import { plainText } from './plainText';
import { recognise } from './recognise';
import { recognisedTemplate } from './recognisedTemplate';

const NOW = Date.parse('2026-03-02T09:00:00Z');

const CLIENT: ClientData = {
  key: 'will',
  kind: 'person',
  name: 'Will Marchbanks',
  phone: '01632 960190',
  address: { street: ['The Mill'], town: 'Thornholt', postcode: 'LK3 1AA' },
};
const RECORDS: RecordsFile = {
  ...SAMPLE,
  clients: [CLIENT],
  projects: [],
  enquiries: [],
  bookings: [
    {
      key: 'b',
      client: 'will',
      service: 'tuning visit',
      status: 'confirmed',
      starts_at: '2026-03-05T09:30:00Z',
      ends_at: '2026-03-05T11:00:00Z',
      member: 'imke',
      price: 7800,
    },
  ],
  invoices: [
    {
      key: 'K-1',
      number: 'K-1',
      client: 'will',
      status: 'sent',
      issued_on: '2026-02-05',
      due_on: '2026-03-05',
      pay_link: 'https://pay.example/k1',
      lines: [{ description: 'Tuning', unit_price: 12_050 }],
    },
  ],
};

function found(letter: string | LetterText, kind: StartingKind = 'booking', key = 'b') {
  const book = new RecordBook(RECORDS, NOW);
  const situation = situationFrom(book, { kind, key }, { sender: SAMPLE.members![0]! })!;
  const context = { schema: schemaOf(RECORDS), passages: readPassages([]) };
  return recognise(typeof letter === 'string' ? plainText(letter) : letter, situation, context);
}

function asText(letter: CopyDocument): LetterText {
  const { subject, document } = templateWords(letter);
  return letterText(subject, document);
}

const told = (letter: string | LetterText, kind?: StartingKind, key?: string) =>
  found(letter, kind, key).finds.map(({ words, path }) => [words, path]);

describe('names', () => {
  it('whom it greets, whoever signs, and a word that only looks like one', () => {
    expect(told('Hello Will,\n\nI will come. Will you be in?\n\nBest wishes\nImke')).toEqual([
      ['Will', 'recipient.greeting_name'],
      ['Will', 'recipient.greeting_name'],
      ['Imke', 'sender.given_name'],
    ]);
    // At the head of a sentence it may be either: it is asked about.
    expect(found('Will you be in?').finds).toMatchObject([{ certainty: 0.55 }]);
  });

  it.each(['as Tom Marchbanks says', 'as Will Tolliver says', 'in marchbanks'])(
    'somebody else’s name is not the client’s: %s',
    (text) => expect(told(text)).toEqual([]),
  );

  it('in full, with the possessive, and by its family name behind what one is called', () => {
    expect(told('at Will Marchbanks’s place, Mr Marchbanks')).toEqual([
      ['Will Marchbanks', 'recipient.full_name'],
      ['Marchbanks', 'recipient.family_name'],
    ]);
  });
});

describe('which of several facts', () => {
  it('one day for two things is told by the words beside it', () => {
    expect(told('We come on 5 March 2026.')).toEqual([['5 March 2026', 'booking.starts_at']]);
    expect(told('It is to be paid by 5 March 2026.')).toEqual([['5 March 2026', 'invoice.due_on']]);
  });

  it('where nothing tells, it is doubtful, and the others are named', () => {
    const [find] = found('So: £120.50.', 'invoice', 'K-1').finds;
    expect(find!.certainty).toBeLessThan(0.9);
    expect([find!.path, ...find!.others.map(({ path }) => path)]).toEqual(
      expect.arrayContaining(['invoice.total', 'invoice.balance']),
    );
  });

  it('what says little by itself is certain beside what says more', () => {
    const certainty = (text: string) =>
      found(text).finds.find(({ words }) => words === 'Thursday')!.certainty;
    expect(certainty('We come on Thursday.')).toBeLessThan(0.9);
    expect(certainty('We come on Thursday at 09:30.')).toBeGreaterThanOrEqual(0.9);
  });
});

describe('what is no fact, though it looks like one', () => {
  it.each([
    'Call between 10:00 and 17:00, on 6 March, for £12 or £1,078.00.',
    'The number is 101632 960190, in the year 7800.',
    'K-10, AK-1 and K-1-2',
    'They are at The Millstone.',
  ])('%s', (text) => expect(told(text)).toEqual([]));

  it('rows that repeat records, each with its own', () => {
    expect(told('- Thursday 5 March, 09:30\n- Friday 6 March, 09:30')).toEqual([]);
    expect(told('- Thursday 5 March, 09:30')).not.toEqual([]);
  });
});

describe('a letter with its looks', () => {
  const LETTER: CopyDocument = {
    type: 'doc',
    content: [
      { type: 'subject', content: [{ type: 'text', text: 'Invoice K-1' }] },
      {
        type: 'paragraph',
        attrs: { origin: 'b1' },
        content: [
          { type: 'text', text: 'Dear ' },
          { type: 'text', text: 'Will', marks: [{ type: 'value', attrs: { id: '1', said: 'Will' } }] },
          { type: 'text', text: ', ' },
          { type: 'text', text: 'Thursday, ', marks: [{ type: 'bold' }] },
          { type: 'text', text: '5 March 2026', marks: [{ type: 'bold' }, { type: 'italic' }] },
        ],
      },
      {
        type: 'paragraph',
        content: [
          { type: 'text', text: 'The Mill' },
          { type: 'break' },
          { type: 'text', text: 'Thornholt' },
          { type: 'break' },
          { type: 'text', text: 'LK3 1AA, ' },
          {
            type: 'text',
            text: 'pay here',
            marks: [{ type: 'link', attrs: { address: 'https://pay.example/k1' } }],
          },
          { type: 'hole', attrs: { id: '2', kind: 'field', label: 'stage' } },
        ],
      },
    ],
  };

  it('fields stand in the look of the words; links that lead to a fact, addresses over lines, what was missing', () => {
    const letter = asText(LETTER);
    const { finds } = found(letter, 'invoice', 'K-1');
    const { head, document } = recognisedTemplate(letter, finds, { startsFrom: 'invoice' });
    expect(head).toMatchObject({ name: 'Invoice', startsFrom: 'invoice' });
    expect(printMarkdown(document)).toBe(
      'Dear {{recipient.greeting_name}}, **{{invoice.due_on | long date}}**\n\n' +
        '{{client.address | lines}}, {{invoice.pay_link | as "pay here"}}{{gap "stage"}}\n',
    );
  });

  it('only what is taken becomes a field', () => {
    const letter = asText(LETTER);
    const { finds } = found(letter, 'invoice', 'K-1');
    const taken = finds.filter(({ words }) => words === 'Will');
    expect(printMarkdown(recognisedTemplate(letter, taken, { startsFrom: 'invoice' }).document)).toContain(
      'Dear {{recipient.greeting_name}}, [Thursday, *5 March 2026*]{.bold}\n',
    );
  });
});

it('reads what is hostile in little more than its length', () => {
  for (const hostile of ['£1 ', '9:', 'half past ', '- x\n', 'Will ', '\n', '1,', '(07700 '])
    expect(() => found(hostile.repeat(20_000))).not.toThrow();
});
