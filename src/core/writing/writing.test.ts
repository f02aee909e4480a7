import { describe, expect, it } from 'vitest';
import type { Subject } from '../document/copyDocument';
import { wordsOf } from '../document/eachNode';
import { fillIn } from '../fairCopy/change/fillIn';
import { openHoles, valuesOf } from '../fairCopy/values';
import { readMoment } from '../dates/zone';
import type { RecordsFile } from '../records/recordsFile';
import { schemaOf } from '../records/schema';
import { readTemplate } from '../template/text/readTemplate';
import { listed } from '../fitting/listedTemplate';
import type { KeptTemplate } from '../template/template';
import { alternativesTo, people } from './alternatives';
import { beginsWith } from './beginsWith';
import { changedFacts, factsOf } from './factsOf';
import { marginGroups } from './marginGroups';
import { marginOf } from './marginOf';
import { proofLetter } from './proofLetter';
import { readTemplateWords } from './readTemplateWords';
import { referenceOf } from '../records/which/recipientOf';
import { WritingDesk } from './writingDesk';

const invoice = (key: string, unit_price: number, due_on: string) => ({
  key,
  number: key,
  client: 'c1',
  project: 'p1',
  status: 'sent',
  issued_on: '2026-10-01',
  due_on,
  lines: [{ description: 'Work', unit_price }],
});

const RECORDS: RecordsFile = {
  business: { name: 'Larkfield Piano Care' },
  members: [
    { key: 'imke', given_name: 'Imke', email: 'imke@larkfield.example' },
    { key: 'teo', given_name: 'Teo', email: 'teo@larkfield.example' },
  ],
  clients: [
    {
      key: 'c1',
      name: 'Thornholt College',
      kind: 'organisation',
      contacts: [
        { key: 'hale', given_name: 'Hale', role: 'accounts', email: 'hale@x.example', uses: ['invoices'] },
        { key: 'wren', given_name: 'Wren', email: 'wren@x.example', uses: ['copy of invoices'] },
        { key: 'pike', given_name: 'Pike' },
      ],
    },
  ],
  projects: [{ key: 'p1', client: 'c1', title: 'uprights', responsible: 'teo', starts_on: '2026-08-01' }],
  bookings: [
    {
      key: 'b1',
      client: 'c1',
      project: 'p1',
      service: 'tuning',
      status: 'confirmed',
      starts_at: '2026-09-01T09:00:00Z',
    },
    {
      key: 'b2',
      client: 'c1',
      project: 'p1',
      service: 'voicing',
      status: 'confirmed',
      starts_at: '2026-12-01T09:00:00Z',
    },
  ],
  invoices: [invoice('K-1', 10_000, '2026-11-01'), invoice('K-2', 5000, '2026-12-24')],
};

const NOW = readMoment('2026-11-25T09:00:00Z')!;
const start = { kind: 'invoice', key: 'K-1' } as const;
const choices = { template: 't', answers: {} };

function desk(body: string, { head = '', records = RECORDS }: { head?: string; records?: RecordsFile } = {}) {
  const source = `---\nname: T\ngroup: Money\nstarts from: invoice\nsubject: 'S {{invoice.number}}'\nsignature: none\n${head}---\n${body}\n`;
  const template = { ...readTemplate(source, 't.md').value!, key: 't', version: 1 };
  return new WritingDesk({
    records,
    now: NOW,
    templates: [template],
    passages: [],
    signatures: [],
    member: 'imke',
  });
}

describe('a template that is only listed', () => {
  const kept = desk('{{invoice.days_overdue}} days over').facts.templates[0] as KeptTemplate;
  const lean = () =>
    new WritingDesk({ ...desk('x').facts, templates: [listed({ ...kept, keptAt: '2026-11-01T00:00:00Z' })] });

  it('is chosen as if its words were there, and filled when they have come', () => {
    const one = lean();
    expect(beginsWith(one, start, [])).toBe('t');
    expect(one.fitting(one.situation(start)!, [])).toEqual(
      desk('{{invoice.days_overdue}} days over').fitting(one.situation(start)!, []),
    );
    expect([one.lacksWords('t'), one.lacksWords('nothing')]).toEqual([true, false]);
    expect(one.fill(start, choices)).toBeUndefined();
    expect(one.compile('t')).toEqual(['The words of this template have not come yet.']);
    one.bring(kept);
    expect(one.lacksWords('t')).toBe(false);
    expect(wordsOf(one.fill(start, choices)!.document)).toContain('24 days over');
  });
});

describe('what a letter begins with', () => {
  it('is what was asked for, where that is there, else the likeliest', () => {
    const one = desk('{{invoice.days_overdue}} days over');
    expect(beginsWith(one, start, [], 't')).toBe('t');
    expect(beginsWith(one, start, [], 'gone')).toBeUndefined();
    expect(beginsWith(one, start, [])).toBe('t');
    expect(beginsWith(one, { kind: 'invoice', key: 'none' }, [])).toBeUndefined();
  });
});

describe('the margin', () => {
  it('has a note for each fact, once, with where it comes from', () => {
    const filled = desk(
      '{{invoice.number}}, {{invoice.balance}}, again {{invoice.balance}}, {{booking.service}}',
    ).fill(start, choices)!;
    const notes = marginOf(filled.document, filled);
    expect(
      notes.map(({ label, words, record, reason, ids }) => [label, words, record, reason, ids.length]),
    ).toEqual([
      ['number', 'K-1', 'invoice:K-1', 'the invoice you started from', 2],
      ['still to pay', '£100.00', 'invoice:K-1', 'the invoice you started from', 2],
      ['what for', 'tuning', 'booking:b1', 'the last visit for the project before the invoice', 1],
    ]);
  });

  it('offers another record only where the letter would read otherwise with it', () => {
    const groups = (body: string, booking?: string) => {
      const filled = desk(body).fill(start, { ...choices, ...(booking ? { booking } : {}) })!;
      return marginGroups(marginOf(filled.document, filled), filled).map(({ title, reason, record }) => [
        title,
        reason,
        record,
      ]);
    };
    const number = ['Invoice K-1', 'the invoice you started from', 'invoice:K-1'];
    // The client's next visit stays that, whichever visit is chosen for the letter.
    expect(groups('{{client.next_booking.service}}', 'b2')).toEqual([
      number,
      ['Voicing', 'the client’s next visit', undefined],
    ]);
    expect(groups('{{client.next_booking.service}} {{booking.service}}', 'b2')[1]).toEqual([
      'Voicing',
      'the client’s next visit',
      'booking:b2',
    ]);
    expect(groups('{{booking.service}}')[1]![2]).toBe('booking:b1');
    expect(groups('{{booking.price}}')[1]![2]).toBe('booking:b1');
    expect(groups('{{recipient.given_name}}')[1]![2]).toBe('contact:hale');
  });

  it('names what was made of a fact, and the answer that can be changed', () => {
    const filled = desk(
      '{{invoice.balance | share 50% | whole money}} {{invoice.due_on | plus 7 days | long date}} {{? Rate : money = 65 | whole money}} {{? Day : date = 2026-12-01}}',
    ).fill(start, { ...choices, answers: { Rate: '70.5' } })!;
    const notes = marginOf(filled.document, filled);
    expect(notes.slice(1).map(({ label, words, answered }) => [label, words, answered])).toEqual([
      ['half of what is still to pay', '£50', undefined],
      ['7 days after due', expect.any(String), undefined],
      ['Rate', '£70.50', { blank: 'Rate', typed: '70.50' }],
      ['Day', '1 December 2026', { blank: 'Day', typed: '2026-12-01' }],
    ]);
  });

  it('says what is missing, what was changed by hand, and what stands in a listing', () => {
    const filled = desk(
      '{{invoice.notes}} {{invoice.balance}}\n\n{{#invoice.lines}}\n- {{description}}\n{{/invoice.lines}}',
    ).fill(start, choices)!;
    const balance = valuesOf(filled.document).find(({ said }) => said === '£100.00')!;
    const notes = marginOf(fillIn(filled.document, new Set([balance.id]), 'a little'), filled);
    expect(notes.find(({ hole }) => hole)).toMatchObject({ label: 'notes', hole: { kind: 'field' } });
    expect(notes.find(({ was }) => was)).toMatchObject({ words: 'a little', was: '£100.00' });
    expect(notes.filter(({ inListing }) => inListing).map(({ words }) => words)).toEqual(['Work']);
  });
});

describe('what else it could be', () => {
  const situation = desk('x').situation(start)!;

  it('the other invoices, visits and people, each with what tells it apart', () => {
    expect(alternativesTo('invoice:K-1', situation)).toEqual({
      kind: 'invoice',
      others: [
        { key: 'K-2', name: 'K-2', note: '£50.00, open, due 24 December', choice: { invoice: 'K-2' } },
      ],
    });
    expect(alternativesTo('booking:b1', situation)?.others.map(({ note }) => note)).toEqual([
      'Tuesday 1 December at 09:00',
    ]);
    expect(people(situation).others.map(({ name, note, choice }) => [name, note, choice.recipients])).toEqual(
      [
        ['Wren', 'wren@x.example', ['contact:wren']],
        ['Pike', 'no email address', ['contact:pike']],
        ['Thornholt College', 'no email address', ['client:c1']],
        ['Imke', 'member, imke@larkfield.example', ['member:imke']],
        ['Teo', 'member, teo@larkfield.example', ['member:teo']],
      ],
    );
    expect(alternativesTo('contact:hale', situation)?.kind).toBe('person');
  });

  it('nothing for what follows from no choice', () => {
    for (const record of [undefined, 'business', 'member:teo', 'invoice:K-2', 'project:p1'])
      expect(alternativesTo(record, situation)).toBeUndefined();
  });

  it('a chosen person, partner or member gets it, several together', () => {
    const to = (...recipients: string[]) =>
      desk('x')
        .fill(start, { ...choices, recipients })!
        .situation.recipients.map(({ record }) => referenceOf(record));
    expect(to('contact:wren')).toEqual(['contact:wren']);
    expect(to('contact:wren', 'member:teo')).toEqual(['contact:wren', 'member:teo']);
    expect(to('contact:nobody')).toEqual(['contact:hale']);
  });
});

describe('a letter filled again', () => {
  const body =
    'Of {{invoice.balance}}, due {{invoice.due_on}}.\n\n{{#when invoice.paid over 0}}\nThank you.\n{{/when}}';
  const before = desk(body).fill(start, choices)!;
  const withPayment = (amount: number): RecordsFile => ({
    ...RECORDS,
    invoices: RECORDS.invoices!.map((one) =>
      one.key === 'K-1' ? { ...one, payments: [{ amount, paid_on: '2026-11-25' }] } : one,
    ),
  });
  const after = desk(body, { records: withPayment(4000) }).fill(start, choices)!;

  it('is the same while nothing has changed', () =>
    expect(changedFacts(factsOf(before), desk(body).fill(start, choices)!, before.document)).toEqual([]));

  it('says what has changed', () =>
    expect(changedFacts(factsOf(before), after, before.document)).toEqual([
      { label: 'balance', now: '£60.00' },
    ]));

  it('does not count what the writer put other words to, but what the letter is made of', () => {
    const balance = valuesOf(before.document).find(({ said }) => said === '£100.00')!;
    const document = fillIn(before.document, new Set([balance.id]), 'a little');
    expect(changedFacts(factsOf(before), after, document)).toEqual([
      { now: 'What the letter says has changed with the records.' },
    ]);
  });

  it('counts the raw value, not how it is written', () => {
    const facts = factsOf(before);
    const values = Object.values(facts.values);
    expect(values).toContain(10_000);
    expect(values).toContain('2026-11-01');
    expect(factsOf(desk('{{now | time}}').fill(start, choices)!).values).not.toHaveProperty('t:1');
  });

  it('comes from whoever is responsible where the template says so', () => {
    const filled = desk('{{sender.given_name}}', { head: 'from: responsible\n' }).fill(start, choices)!;
    expect(filled.situation.sender.key).toBe('teo');
    expect(proofLetter(filled.document, filled).text).toBe('Teo\n');
  });
});

describe('the proof of a letter', () => {
  it('stops for what is missing, for nobody, and for no subject', () => {
    const filled = desk('{{invoice.notes}}').fill(start, { ...choices, recipients: ['contact:pike'] })!;
    const [subject, ...body] = filled.document.content;
    const document = { type: 'doc' as const, content: [{ ...(subject as Subject), content: [] }, ...body] };
    expect(proofLetter(document, filled).marks.map(({ message }) => message)).toEqual([
      'Pike has no email address. Add one, or choose another person.',
      'The subject is empty. Write what the letter is about.',
      'The invoice K-1 has no notes.',
    ]);
  });

  it('is content with a hole that was filled by hand', () => {
    const filled = desk('{{invoice.notes}}').fill(start, choices)!;
    const ids = new Set(openHoles(filled.document).map(({ id }) => id));
    expect(proofLetter(fillIn(filled.document, ids, 'PO 7'), filled)).toMatchObject({
      marks: [],
      text: 'PO 7\n',
    });
  });
});

describe('a template’s words', () => {
  const context = {
    schema: schemaOf(RECORDS),
    passages: [],
    signatures: [],
    groups: [{ name: 'Money', formerly: ['Cash'] }, { name: 'Visits' }],
  };
  const words = (group: string, body: string) =>
    `---\nname: T\ngroup: ${group}\nstarts from: invoice\nsubject: S\n---\n${body}\n`;

  it('are a template when nothing is wrong', () =>
    expect(readTemplateWords(words('money', '{{invoice.number}}'), context).template?.head.name).toBe('T'));

  it('may say what something was called before', () =>
    expect(readTemplateWords(words('cash', '{{invoice.number}}'), context).problems).toEqual([]));

  it('have each mistake at its line: the group, a path, what is never closed', () => {
    const { problems } = readTemplateWords(
      words('Garage', 'a\n\n{{invoice.nmber}}\n\n{{#invoice.lines}}'),
      context,
    );
    expect(problems.map(({ line }) => line)).toEqual([3, 9, 11]);
    expect(problems[0]!.message).toBe('There is no group “Garage”. There are Money, Visits.');
  });
});
