import { expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import type { PastLetter } from '../fitting/fittingTemplates';
import { RecordBook } from '../records/recordBook';
import type { RecordsFile } from '../records/recordsFile';
import { occasionsOf } from './occasionsOf';

const booking = (key: string, starts_at: string, status = 'confirmed') => ({
  key,
  client: 'c1',
  starts_at,
  status,
});
const invoice = (key: string, due_on: string, paid = 0, status = 'sent') => ({
  key,
  client: 'c1',
  status,
  issued_on: '2026-10-01',
  due_on,
  lines: [{ unit_price: 10_000 }],
  payments: paid ? [{ amount: paid, paid_on: '2026-11-01' }] : [],
});

const RECORDS: RecordsFile = {
  business: {},
  clients: [{ key: 'c1', name: 'Oda Hartigan' }],
  bookings: [
    booking('today', '2026-11-25T15:00:00Z'),
    booking('tomorrow', '2026-11-26T09:30:00Z'),
    booking('off', '2026-11-26T11:00:00Z', 'cancelled'),
    booking('in-3', '2026-11-28T09:00:00Z', 'tentative'),
    booking('in-4', '2026-11-29T09:00:00Z'),
  ],
  enquiries: [
    {
      key: 'new',
      name: 'Bram',
      service: 'Tuning visit',
      status: 'waiting',
      received_at: '2026-11-24T20:00:00Z',
    },
    { key: 'old', client: 'c1', status: 'waiting', received_at: '2026-11-15T20:00:00Z' },
    { key: 'done', name: 'X', status: 'answered', received_at: '2026-11-24T20:00:00Z' },
  ],
  invoices: [
    invoice('late', '2026-11-01', 2500),
    invoice('later', '2026-11-20'),
    invoice('open', '2026-12-10'),
    invoice('now', '2026-11-25'),
    invoice('paid', '2026-11-01', 10_000),
    invoice('void', '2026-11-01', 0, 'void'),
  ],
};

function worthWriting(letters: PastLetter[] = []) {
  const book = new RecordBook(RECORDS, readMoment('2026-11-25T09:00:00Z')!);
  return occasionsOf(book, letters).map(({ start, reason }) => `${start.key}: ${reason}`);
}

it('visits of the next days, enquiries nobody answered, invoices overdue and open; the most pressing first', () => {
  expect(worthWriting()).toEqual([
    'tomorrow: Visit tomorrow at 09:30, not yet written about',
    'in-3: Visit in 3 days at 09:00, not yet written about',
    'old: Enquiry from 10 days ago',
    'new: Enquiry about tuning visit from yesterday',
    'late: £75.00 24 days overdue',
    'later: £100.00 5 days overdue',
    'now: £100.00 due today',
    'open: £100.00 due in 15 days',
  ]);
});

it('what was written about lately comes last, and says when', () => {
  const sent = (kind: 'booking' | 'invoice', key: string, at: string) => ({
    template: 't',
    about: { kind, key },
    at,
  });
  const list = worthWriting([
    sent('booking', 'tomorrow', '2026-10-01T09:00:00Z'),
    sent('booking', 'tomorrow', '2026-11-24T16:00:00Z'),
    sent('invoice', 'late', '2026-11-24T09:00:00Z'),
    sent('invoice', 'later', '2026-11-10T09:00:00Z'),
  ]);
  expect(list.slice(-2)).toEqual([
    'tomorrow: Visit tomorrow at 09:30, last letter yesterday',
    'late: £75.00 24 days overdue, last letter yesterday',
  ]);
  expect(list).toContain('later: £100.00 5 days overdue, last letter 2 weeks ago');
});

it('names whom it is about', () => {
  const book = new RecordBook(RECORDS, readMoment('2026-11-25T09:00:00Z')!);
  const names = occasionsOf(book, []).map(({ name }) => name);
  expect(new Set(names)).toEqual(new Set(['Oda Hartigan', 'Bram']));
});
