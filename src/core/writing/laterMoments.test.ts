import { describe, expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import { RecordBook } from '../records/recordBook';
import type { RecordsFile } from '../records/recordsFile';
import { situationFrom, type StartingPoint } from '../records/which/situation';
import { laterInWords, laterMoments, whyNotLater } from './laterMoments';

const RECORDS: RecordsFile = {
  business: { name: 'Larkfield Piano Care', time_zone: 'Europe/London', booking_label: 'visit' },
  members: [{ key: 'imke', given_name: 'Imke', email: 'imke@larkfield.example' }],
  clients: [
    { key: 'oda', name: 'Oda Hartigan', email: 'oda@x.example' },
    { key: 'per', name: 'Per Wray', email: 'per@x.example' },
  ],
  bookings: [
    {
      key: 'b1',
      client: 'oda',
      service: 'tuning',
      status: 'confirmed',
      starts_at: '2026-12-02T10:00:00Z',
      ends_at: '2026-12-02T12:00:00Z',
    },
  ],
  invoices: [
    {
      key: 'i1',
      number: 'i1',
      client: 'oda',
      status: 'sent',
      issued_on: '2026-11-20',
      due_on: '2026-12-04',
      lines: [{ description: 'Tuning', unit_price: 11000 }],
    },
  ],
};

function offered(start: StartingPoint, now: string, records = RECORDS) {
  const book = new RecordBook(records, readMoment(now)!);
  return laterMoments(situationFrom(book, start, { sender: { key: 'imke' } })!);
}
const words = (start: StartingPoint, now: string, records?: RecordsFile) =>
  offered(start, now, records).map((one) => one.words);
const CLIENT = { kind: 'client', key: 'per' } as const;
const BOOKING = { kind: 'booking', key: 'b1' } as const;
const INVOICE = { kind: 'invoice', key: 'i1' } as const;

describe('moments that a letter may be put off to', () => {
  it('are those around its visit and its day, the soonest first', () => {
    expect(words(BOOKING, '2026-11-25T09:00:00Z')).toEqual([
      'This evening at 18:00',
      'Tomorrow at 08:00',
      'The evening before the visit, 1 December at 18:00',
      'The morning after the visit, 3 December at 08:00',
    ]);
    expect(words(INVOICE, '2026-11-25T09:00:00Z')).toContain(
      'The day after the invoice is due, 5 December at 08:00',
    );
  });

  it('have none that has passed, and none twice', () => {
    expect(words(BOOKING, '2026-12-01T18:00:00Z')).toEqual([
      'Tomorrow at 08:00',
      'The morning after the visit, 3 December at 08:00',
    ]);
    expect(words(BOOKING, '2026-12-10T18:00:00Z')).toEqual(['Tomorrow at 08:00']);
    const all = offered(BOOKING, '2026-12-01T09:00:00Z');
    expect(new Set(all.map(({ at }) => at)).size).toBe(all.length);
    expect(all.map((one) => one.words)[0]).toBe('This evening at 18:00');
  });

  it('on a Friday have Monday, too', () => {
    expect(words(CLIENT, '2026-11-27T09:00:00Z')).toEqual([
      'This evening at 18:00',
      'Tomorrow at 08:00',
      'Monday, 30 November 2026 at 08:00',
    ]);
  });

  it('are read on the business’s clock, also where it changes in between', () => {
    const away: RecordsFile = {
      ...RECORDS,
      business: { ...RECORDS.business, time_zone: 'Pacific/Auckland' },
    };
    expect(offered(CLIENT, '2026-11-25T09:00:00Z', away)[0]!.at).toBe('2026-11-26T08:00:00+13:00');
    const summer = offered(CLIENT, '2026-10-24T18:30:00Z').find((one) => one.words.startsWith('Tomorrow'));
    expect(summer!.at).toBe('2026-10-25T08:00:00+00:00');
  });

  it('of a business that never works have no working day', () => {
    const closed: RecordsFile = { ...RECORDS, business: { ...RECORDS.business, working_days: [] } };
    expect(words(CLIENT, '2026-11-27T19:00:00Z', closed)).toEqual(['Tomorrow at 08:00']);
  });
});

describe('whether a letter can wait until a moment', () => {
  const book = new RecordBook(RECORDS, readMoment('2026-11-25T09:00:00Z')!);
  it.each([
    ['2026-11-25T09:01:00Z', undefined],
    ['2026-11-25T09:00:00Z', 'Today at 09:00 has passed. Choose another time.'],
    ['2026-10-01T07:00:00Z', 'Thursday, 1 October 2026 at 08:00 has passed. Choose another time.'],
    ['2027-11-26T09:00:00Z', undefined],
    ['2027-11-27T09:00:00Z', 'That is more than a year away. A letter can wait 366 days.'],
    ['somewhen', 'That is no day and time. Choose both.'],
  ])('%s', (iso, why) => expect(whyNotLater(readMoment(iso), book)).toBe(why));

  it('a moment is said as its reader would', () => {
    expect(laterInWords(readMoment('2026-11-26T08:00:00Z')!, book)).toBe('tomorrow at 08:00');
    expect(laterInWords(readMoment('2026-11-30T08:00:00Z')!, book)).toBe('Monday, 30 November 2026 at 08:00');
  });
});
