import { parentPort } from 'node:worker_threads';
import { readPassages } from '../../src/core/fill/paths/scope';
import { knownFacts } from '../../src/core/recognise/knownFacts';
import { letterText } from '../../src/core/recognise/letterText';
import { plainText } from '../../src/core/recognise/plainText';
import { recognise } from '../../src/core/recognise/recognise';
import { rehearse } from '../../src/core/recognise/rehearse';
import { RecordBook } from '../../src/core/records/recordBook';
import type { RecordsFile } from '../../src/core/records/recordsFile';
import { schemaOf } from '../../src/core/records/schema';
import { situationFrom } from '../../src/core/records/which/situation';

const NOW = Date.parse('2026-11-25T09:00:00Z');
const LATER = 5;
const WORDS = 3_000;

const day = (i: number) => new Date(NOW + (i - 60) * 86_400_000).toISOString();
const RECORDS: RecordsFile = {
  business: {
    name: 'Larkfield Piano Care',
    phone: '01632 960144',
    email: 'office@larkfield.example',
    time_zone: 'Europe/London',
    booking_label: 'visit',
  },
  members: [{ key: 'imke', full_name: 'Imke Sandoval', email: 'imke@larkfield.example' }],
  clients: [
    {
      key: 'oda',
      name: 'Oda Hartigan',
      email: 'oda@hartigan.example',
      phone: '01632 960101',
      address: { street: ['3 Mill Row'], town: 'Saltby', postcode: 'LK2 3DR' },
      items: [{ key: 'i', name: 'the upright', custom: {} }],
    },
  ],
  bookings: Array.from({ length: 100 }, (_, i) => ({
    key: `b${i}`,
    client: 'oda',
    service: 'tuning visit',
    status: 'confirmed',
    starts_at: day(i),
    member: 'imke',
    price: 7_800 + i,
  })),
  invoices: Array.from({ length: 100 }, (_, i) => ({
    key: `K-${i}`,
    number: `K-${i}`,
    client: 'oda',
    status: 'sent',
    issued_on: day(i).slice(0, 10),
    due_on: day(i + 14).slice(0, 10),
    lines: [{ description: 'Tuning', unit_price: 7_800 + i }],
  })),
};

const LETTER =
  'Dear Oda, we come to 3 Mill Row in Saltby on Thursday, 26 November 2026 at nine for the tuning visit. ' +
  'It costs £78.60, as invoice K-61 says; ring 01632 960144 or write to office@larkfield.example if that does not suit you. ' +
  'The upright has stood well since last time, and nothing has to be moved for us to get at it this week. ';
const words = LETTER.split(' ').length;
const text = letterText([], plainText(LETTER.concat('\n\n').repeat(Math.ceil(WORDS / words))).document);

const timed = (work: () => unknown) => {
  const began = performance.now();
  work();
  return performance.now() - began;
};

const context = { schema: schemaOf(RECORDS), passages: readPassages([]) };
const ready = timed(() => rehearse('booking', RECORDS.business, context));
const book = new RecordBook(RECORDS, NOW);
const situation = situationFrom(
  book,
  { kind: 'booking', key: 'b61' },
  { sender: book.members.get('imke')! },
)!;
let finds = 0;
const first = timed(() => (finds = recognise(text, situation, context).finds.length));
const later = Array.from({ length: LATER }, () => timed(() => recognise(text, situation, context)));
const plain = timed(() => {
  for (const { forms } of knownFacts({ situation, context }))
    for (const { says } of forms) for (let at = -1; (at = text.text.indexOf(says, at + 1)) >= 0;);
});
parentPort!.postMessage({
  ready,
  first,
  later,
  plain,
  words: text.text.split(/\s+/).filter(Boolean).length,
  finds,
  records: RECORDS.bookings!.length + RECORDS.invoices!.length,
});
