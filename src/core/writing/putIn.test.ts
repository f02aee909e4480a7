import { describe, expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import type { CopyDocument, CopyPart } from '../document/copyDocument';
import { wordsOf } from '../document/eachNode';
import type { RecordsFile } from '../records/recordsFile';
import type { KeptTemplate } from '../template/template';
import { readTemplate } from '../template/text/readTemplate';
import { changedFacts, factsOf } from './factsOf';
import type { Letter } from './letter';
import { canBePutIn, putIn } from './putIn';
import { proofLetter } from './proofLetter';
import { WritingDesk } from './writingDesk';

const invoice = (key: string, unit_price: number) => ({
  key,
  number: key,
  client: 'oda',
  status: 'sent',
  issued_on: '2026-10-01',
  due_on: '2026-12-01',
  lines: [{ description: 'Work', unit_price }],
});
const RECORDS: RecordsFile = {
  business: { name: 'Larkfield Piano Care', time_zone: 'Europe/London', booking_label: 'visit' },
  members: [{ key: 'imke', given_name: 'Imke', email: 'imke@larkfield.example' }],
  clients: [{ key: 'oda', name: 'Oda Hartigan', email: 'oda@hartigan.example' }],
  invoices: [invoice('A-1', 10000), invoice('A-2', 25000)],
};
const START = { kind: 'invoice', key: 'A-1' } as const;

const template = (key: string, body: string, head = '', subject = `About ${key}`): KeptTemplate => {
  const source = `---\nname: ${key}\ngroup: G\nstarts from: invoice\nsubject: '${subject}'\nsignature: none\n${head}---\n${body}`;
  const { value, problems } = readTemplate(source, `${key}.md`);
  if (!value) throw new Error(JSON.stringify(problems));
  return { ...value, key, version: 3 };
};

const TEMPLATES = [
  template(
    'first',
    'Hello {{recipient.greeting_name}},\n\nOne of {{invoice.number}}.\n\nTwo.\n\n{{signature}}',
  ),
  template(
    'more',
    'Dear {{recipient.greeting_name}},\n\nStill to pay is {{invoice.balance}}.\n\n{{? Reason : text}}\n\n{{signature}}',
    'attach: [invoice pdf]\n',
  ),
  template('clash', 'Because of {{? Reason : number}}.'),
  template('third', 'And {{? Reason : text}} of {{invoice.number}} again.'),
  template('nothing', '{{#when invoice.balance over £900}}\nMuch.\n{{/when}}'),
  template('german', 'Guten Tag.', 'language: de\n'),
];

const desk = (templates = TEMPLATES) =>
  new WritingDesk({
    records: RECORDS,
    now: readMoment('2026-11-25T09:00:00Z')!,
    templates,
    passages: [],
    signatures: [],
    member: 'imke',
  });

function begun(key = 'first', on = desk()): Letter {
  const choices = { template: key, answers: {} };
  return { choices, document: on.fill(START, choices)!.document };
}

/** The letter with one put in, behind a block. */
function put(letter: Letter, key: string, at?: number, on = desk()): Letter {
  const joined = putIn(on, START, letter, { template: key, at });
  if (typeof joined === 'string') throw new Error(joined);
  return joined;
}

const lines = ({ document }: Letter) => document.content.slice(1).map((block) => wordsOf(block));

const byHand = (words: string): CopyPart => ({ type: 'paragraph', content: [{ type: 'text', text: words }] });
const withBlock = ({ choices, document }: Letter, at: number, block: CopyPart): Letter => ({
  choices,
  document: {
    ...document,
    content: document.content.toSpliced(at, 0, block as never) as CopyDocument['content'],
  },
});

describe('a template that is put into a letter', () => {
  it('stands where the caret is, without its greeting', () => {
    const letter = put(begun(), 'more', 2);
    expect(lines(letter).slice(0, 5)).toEqual([
      'Hello Oda,',
      'One of A-1.',
      'Still to pay is £100.00.',
      expect.anything(),
      'Two.',
    ]);
    expect(letter.choices.putIn).toEqual([{ template: 'more', version: 3, behind: 'first:2' }]);
  });

  it('stands before the signature where the caret is in that', () => {
    const on = desk();
    const blank = begun(on.blankLetter(on.situation(START)!), on);
    const last = blank.document.content.length - 1;
    expect(lines(put(blank, 'more', last, on)).slice(0, 2)).toEqual([
      'Hello Oda,',
      'Still to pay is £100.00.',
    ]);
  });

  it('stands before the signature where there is no caret, and in the place of an empty line', () => {
    expect(lines(put(begun(), 'more')).indexOf('Still to pay is £100.00.')).toBe(3);
    const withLine = withBlock(begun(), 2, { type: 'paragraph', content: [] });
    expect(lines(put(withLine, 'more', 2)).slice(0, 3)).toEqual([
      'Hello Oda,',
      'Still to pay is £100.00.',
      expect.anything(),
    ]);
  });

  it('follows its record, and what was written by hand around it stays where it was', () => {
    const on = desk();
    const written = withBlock(withBlock(begun('first', on), 2, byHand('Before.')), 3, byHand('After.'));
    const letter = put(written, 'more', 2, on);
    const order = ['Hello Oda,', 'Before.', 'Still to pay is £100.00.', 'After.', 'One of A-1.', 'Two.'];
    // Without the blank, which has no words yet.
    const named = (one: Letter) => lines(one).toSpliced(3, 1).slice(0, 6);
    expect(named(letter)).toEqual(order);
    const other = on.change(START, letter, { invoice: 'A-2' });
    expect(named(other)).toEqual(order.map((words) => words.replace('A-1', 'A-2').replace('100', '250')));
    // And once more, with an answer to its blank.
    const answered = on.change(START, other, { answers: { Reason: 'It rained.' } });
    expect(lines(answered)).toContain('It rained.');
  });

  it('leaves the parts around it their names, also where a passage goes on with a list', () => {
    const on = new WritingDesk({
      ...desk().facts,
      templates: [template('listed', '- One\n\n{{> Two}}\n\nThree.\n\n{{signature}}'), ...TEMPLATES],
      passages: [
        {
          key: 'Two',
          name: 'Two',
          document: readTemplate(
            '---\nname: P\ngroup: G\nstarts from: invoice\nsubject: S\n---\n- Two',
            'p.md',
          ).value!.document,
        },
      ],
    });
    const origins = (one: Letter) =>
      on.fill(START, one.choices)!.document.content.map((block) => block.attrs?.origin);
    const before = begun('listed', on);
    const joined = origins(put(before, 'third', 1, on));
    expect(joined).toHaveLength(origins(before).length + 1);
    expect(joined.filter((origin) => !origin?.startsWith('third:'))).toEqual(origins(before));
  });

  it('is proofed and compared as the rest is, and goes along with what goes along with it', () => {
    const on = desk();
    const letter = put(begun('first', on), 'more', 2, on);
    const filled = on.fill(START, letter.choices)!;
    expect(proofLetter(letter.document, filled).marks.map(({ message }) => message)).toContain(
      '“Reason” has not been answered.',
    );
    expect(filled.along.map(({ name }) => name)).toEqual(['A-1.pdf']);
    const facts = factsOf(filled);
    const paid = { ...RECORDS, invoices: [invoice('A-1', 9000), invoice('A-2', 25000)] };
    const later = new WritingDesk({ ...on.facts, records: paid }).fill(START, letter.choices)!;
    expect(changedFacts(facts, later, letter.document)).toHaveLength(1);
  });

  it('comes after another, before it or behind it, as the page has it', () => {
    const on = desk();
    const two = put(put(begun('first', on), 'more', 2, on), 'third', 1, on);
    expect(two.choices.putIn!.map((one) => one.template)).toEqual(['third', 'more']);
    const answered = on.change(START, two, { answers: { Reason: 'Rain' }, invoice: 'A-2' });
    expect(lines(answered).slice(0, 6)).toEqual([
      'Hello Oda,',
      'And Rain of A-2 again.',
      'One of A-2.',
      'Still to pay is £250.00.',
      'Rain',
      'Two.',
    ]);
  });

  it('makes a blank letter a letter: its subject, too', () => {
    const on = desk();
    const blank = on.blankLetter(on.situation(START)!);
    const letter = put(begun(blank, on), 'more', 1, on);
    expect(wordsOf(letter.document.content[0]!)).toBe('About more');
    expect(lines(letter).slice(0, 2)).toEqual(['Hello Oda,', 'Still to pay is £100.00.']);
  });

  it.each([
    ['first', 'first', '“first” is in this letter already.'],
    ['first', 'nothing', '“nothing” has nothing to say of this record.'],
    ['first', 'gone', 'This template is no longer there.'],
    [
      'more',
      'clash',
      '“clash” does not go with this letter. The blank “Reason” is defined twice, and not alike.',
    ],
  ])('into %s: %s is refused', (key, other, words) => {
    expect(String(putIn(desk(), START, begun(key), { template: other, at: 1 }))).toContain(words);
  });

  it('twice is refused', () => {
    const letter = put(begun(), 'more', 2);
    expect(putIn(desk(), START, letter, { template: 'more', at: 2 })).toBe(
      '“more” is in this letter already.',
    );
  });

  it('stays when another template is taken, unless it does not go with that, or is that', () => {
    const on = desk();
    const letter = put(begun('first', on), 'more', 2, on);
    expect(on.change(START, letter, { template: 'third' }).choices.putIn).toHaveLength(1);
    expect(on.change(START, letter, { template: 'clash' }).choices.putIn).toBeUndefined();
    expect(on.change(START, letter, { template: 'more' }).choices.putIn).toBeUndefined();
  });

  it('is in the language of the letter, and for the same reader', () => {
    const [first, more] = TEMPLATES.map(({ head }) => head);
    const german = TEMPLATES.at(-1)!.head;
    expect(canBePutIn(more!, first!)).toBe(true);
    expect(canBePutIn(german, first!)).toBe(false);
    expect(canBePutIn({ ...more!, writtenTo: 'partner' }, first!)).toBe(false);
  });
});
