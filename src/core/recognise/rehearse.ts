import type { CompileContext } from '../fill/compile/newScope';
import type { StartingKind } from '../records/recordKind';
import { RecordBook } from '../records/recordBook';
import type { RecordsFile } from '../records/recordsFile';
import { situationFrom } from '../records/which/situation';
import { letterText } from './letterText';
import { plainText } from './plainText';
import { recognise } from './recognise';

/** Nobody’s records, one of each kind. */
const NOBODYS = {
  clients: [
    {
      key: 'c',
      name: 'Ada Reyes',
      email: 'ada@house.example',
      address: { street: ['1 Quay'], town: 'Saltby', postcode: 'LK1 1AA' },
    },
  ],
  enquiries: [{ key: 'e', client: 'c', name: 'Ada Reyes', wanted_on: ['2026-03-05'] }],
  projects: [{ key: 'p', client: 'c', title: 'the room' }],
  bookings: [
    {
      key: 'b',
      client: 'c',
      project: 'p',
      service: 'a look',
      starts_at: '2026-03-05T09:30:00Z',
      price: 7800,
    },
  ],
  invoices: [
    {
      key: 'i',
      number: 'i',
      client: 'c',
      issued_on: '2026-02-05',
      due_on: '2026-03-05',
      lines: [{ description: 'a look', unit_price: 7800 }],
    },
  ],
} satisfies Omit<RecordsFile, 'business'>;

const STARTS: Readonly<Record<StartingKind, string>> = {
  client: 'c',
  enquiry: 'e',
  project: 'p',
  booking: 'b',
  invoice: 'i',
};

const LETTER =
  'Dear Ada, we come to 1 Quay, Saltby on Thursday, 5 March 2026 at half past nine; it costs £78. Write to ada@house.example.\n\n';
const TIMES = 12;

/**
 * Looks a letter through that nobody wrote, and forgets it: what is looked for is made ready for letters that start from a kind of
 * record, and what runs first runs slowest.
 */
export function rehearse(
  startsFrom: StartingKind,
  business: RecordsFile['business'],
  context: CompileContext,
): void {
  // How telephone numbers are written comes with the records.
  const { phone: _, custom: __, ...others } = business;
  const book = new RecordBook({ business: others, ...NOBODYS }, Date.UTC(2026, 2, 2));
  const start = { kind: startsFrom, key: STARTS[startsFrom] };
  const situation = situationFrom(book, start, { sender: { key: 'nobody' } });
  const { subject, document } = plainText(LETTER.repeat(TIMES));
  if (situation) recognise(letterText(subject, document), situation, context);
}
