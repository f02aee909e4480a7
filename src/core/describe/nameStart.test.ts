import { expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import { RecordBook } from '../records/recordBook';
import { situationFrom, type StartingPoint } from '../records/which/situation';
import { nameStart } from './nameStart';

const book = new RecordBook(
  {
    business: { name: 'B', locale: 'en-GB', currency: 'GBP', time_zone: 'Europe/London' },
    clients: [{ key: 'c1', name: 'Ada Reyes' }],
    projects: [{ key: 'p1', client: 'c1', title: 'the grand', status: 'active', starts_on: '2026-09-01' }],
    bookings: [
      { key: 'b1', client: 'c1', service: 'tuning visit', status: 'done', starts_at: '2026-11-04T15:00:00Z' },
    ],
    invoices: [
      {
        key: 'i1',
        number: 'K-101',
        client: 'c1',
        status: 'sent',
        issued_on: '2026-10-01',
        due_on: '2026-11-01',
        lines: [{ unit_price: 64_200 }],
      },
    ],
    enquiries: [{ key: 'e1', name: 'Bram Tolliver', email: 'bram@tolliver.example', status: 'waiting' }],
  },
  readMoment('2026-11-25T09:00:00Z')!,
);

it.each<[StartingPoint, string]>([
  [{ kind: 'client', key: 'c1' }, 'the client'],
  [{ kind: 'invoice', key: 'i1' }, 'invoice K-101, £642.00, 24 days overdue'],
  [{ kind: 'booking', key: 'b1' }, 'the tuning visit, Wednesday 4 November at 15:00, done'],
  [{ kind: 'project', key: 'p1' }, 'project the grand, active, since September 2026'],
  [{ kind: 'enquiry', key: 'e1' }, 'the enquiry of Bram Tolliver, waiting'],
])('a letter from %o is written from %s', (start, words) => {
  expect(nameStart(situationFrom(book, start, { sender: { key: 'm1', given_name: 'Imke' } })!)).toBe(words);
});
