import { addresseesOf, type Addressees } from '../../addressing/addresseesOf';
import { readMoment } from '../../dates/zone';
import { RecordBook } from '../../records/recordBook';
import type { RecordsFile } from '../../records/recordsFile';
import { schemaOf } from '../../records/schema';
import { situationFrom, type Wishes } from '../../records/which/situation';
import type { StartingKind } from '../../records/recordKind';
import { byPlace, inWords } from '../../problems/problem';
import { readPassage, readTemplate } from '../../template/text/readTemplate';
import type { Signature } from '../../template/template';
import { compileTemplate } from '../compileTemplate';
import type { Filled } from '../filled';
import { fillTemplate } from '../fillTemplate';

/** A small business whose every fact the tests know. Today is Monday 2 March 2026, nine in London. */
export const SAMPLE: RecordsFile = {
  business: {
    name: 'Larkfield Piano Care',
    website: 'https://larkfield.example',
    phone: '01632 960144',
    email: 'office@larkfield.example',
    logo: 'lark.png',
    address: { street: ['6 Quay Lane'], town: 'Saltby', postcode: 'LK2 4AA' },
    holidays: ['2026-03-05'],
    links: [{ key: 'review', name: 'our review page', address: 'https://larkfield.example/say' }],
  },
  members: [
    { key: 'imke', full_name: 'Imke Sandoval', email: 'imke@larkfield.example', mobile: '07700 900144' },
  ],
  clients: [
    {
      key: 'c1',
      name: 'Oda Hartigan',
      email: 'oda@hartigan.example',
      phone: '+441632960101',
      tags: ['school', 'regular'],
      notes: 'First line\nsecond <line>',
      items: [
        { key: 'i1', name: 'the upright', custom: { maker: 'Tesslund', humidity_system: true } },
        { key: 'i2', name: 'the grand', custom: { year_built: 1911 } },
      ],
    },
  ],
  enquiries: [
    {
      key: 'e1',
      name: 'Bram Tolliver',
      email: 'bram@tolliver.example',
      wanted_on: ['2026-03-09', '2026-03-10'],
    },
  ],
  projects: [{ key: 'p1', client: 'c1', title: 'restoration', value: 642000 }],
  bookings: [
    {
      key: 'b1',
      client: 'c1',
      project: 'p1',
      service: 'tuning visit',
      status: 'confirmed',
      starts_at: '2026-03-03T09:30:00+00:00',
      ends_at: '2026-03-03T12:00:00+00:00',
      items: ['i1', 'i2'],
      location: { street: ['4 Chandlers Row'], town: 'Saltby', postcode: 'LK2 4QB' },
      price: 7800,
    },
  ],
  invoices: [
    {
      key: 'K-101',
      number: 'K-101',
      client: 'c1',
      project: 'p1',
      status: 'sent',
      issued_on: '2026-01-20',
      due_on: '2026-02-03',
      pay_link: 'https://pay.example/k-101?a=1&b=2',
      lines: [
        { description: 'Regulation', quantity: '2', unit_price: 50000, tax_rate: 20 },
        { description: 'Felt & <glue>', unit_price: 3450 },
      ],
      payments: [{ paid_on: '2026-02-01', amount: 60000 }],
      instalments: [
        { due_on: '2026-02-01', amount: 60000 },
        { due_on: '2026-04-01', amount: 63450 },
      ],
    },
    {
      key: 'K-102',
      number: 'K-102',
      client: 'c1',
      status: 'sent',
      issued_on: '2026-02-20',
      due_on: '2026-03-20',
      lines: [{ unit_price: 9600 }],
    },
  ],
};

interface More {
  from?: `${StartingKind}:${string}`;
  subject?: string;
  head?: string;
  passages?: Record<string, string>;
  /** in text form, by whose they are: a member's key, or "house" */
  signatures?: Record<string, string>;
  answers?: Record<string, unknown>;
  now?: string;
  business?: Partial<RecordsFile['business']>;
  /** other records than the sample's */
  records?: Partial<RecordsFile>;
  wishes?: Partial<Wishes>;
}

/** Fills a body from the sample; throws with every problem when it does not compile. */
export function fillSample(body: string, more: More = {}): Filled & Addressees {
  const problems = problemsOf(body, more);
  if (problems.length) throw new Error(problems.join('\n'));
  const { compiled, book, kind, key } = prepare(body, more);
  const situation = situationFrom(book, { kind, key }, { sender: SAMPLE.members![0]!, ...more.wishes })!;
  return {
    ...fillTemplate(compiled!, situation, new Map(Object.entries(more.answers ?? {}))),
    ...addresseesOf(compiled!, situation),
  };
}

/** What reading or compiling a body reports. The body begins on line 7. */
export function problemsOf(body: string, more: More = {}): string[] {
  return prepare(body, more).problems;
}

function prepare(
  body: string,
  {
    from = 'invoice:K-101',
    subject = 'S',
    head = '',
    passages = {},
    signatures = {},
    now,
    business,
    records: own,
  }: More,
) {
  const [kind, key] = from.split(':') as [StartingKind, string];
  const records = { ...SAMPLE, ...own, business: { ...SAMPLE.business, ...own?.business, ...business } };
  const source = `---\nname: T\ngroup: G\nstarts from: ${kind}\nsubject: '${subject}'\n${head}---\n${body}`;
  const reading = readTemplate(source, 't.md');
  const book = new RecordBook(records, readMoment(now ?? '2026-03-02T09:00:00Z')!);
  const read = Object.entries(passages).map(([name, text]) => {
    const { value, places, problems } = { places: new WeakMap(), ...readPassage(text, `${name}.md`, name) };
    if (!value) throw new Error(problems.map(inWords).join('\n'));
    return [name, { passage: value, places }] as const;
  });
  const readable = reading.value ?? reading.draft;
  if (!readable) return { book, kind, key, problems: reading.problems.map(inWords) };
  const { compiled, problems } = compileTemplate(readable, {
    schema: schemaOf(records),
    passages: new Map(read),
    signatures: Object.entries(signatures).map(([whose, text]): Signature => {
      const { document } = readPassage(text, `${whose}.md`, whose).value!;
      return {
        key: whose,
        name: whose,
        ...(whose === 'house' ? {} : { member: whose }),
        usual: true,
        document,
      };
    }),
    ...(reading.places ? { places: reading.places } : {}),
    file: 't.md',
  });
  return {
    compiled,
    book,
    kind,
    key,
    problems: [...reading.problems, ...problems].sort(byPlace).map(inWords),
  };
}
