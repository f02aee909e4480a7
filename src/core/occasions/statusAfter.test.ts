import { expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import { RecordBook } from '../records/recordBook';
import type { RecordsFile } from '../records/recordsFile';
import { situationFrom, type StartingPoint } from '../records/which/situation';
import type { Act } from '../template/acts';
import { statusAfter } from './statusAfter';

const RECORDS: RecordsFile = {
  business: { name: 'Larkfield Piano Care', booking_label: 'visit' },
  clients: [{ key: 'oda', name: 'Oda Hartigan', email: 'oda@x.example' }],
  enquiries: [
    { key: 'e1', email: 'new@x.example', status: 'waiting' },
    { key: 'e2', email: 'old@x.example', status: 'closed' },
  ],
  projects: [{ key: 'p1', client: 'oda', title: 'new strings', status: 'planned' }],
  bookings: [
    { key: 'b1', client: 'oda', status: 'tentative', starts_at: '2026-12-02T10:00:00Z' },
    { key: 'b2', client: 'oda', status: 'confirmed', starts_at: '2026-11-20T10:00:00Z' },
  ],
} as RecordsFile;
const book = new RecordBook(RECORDS, readMoment('2026-11-25T09:00:00Z')!);

const after = (act: Act | undefined, kind: StartingPoint['kind'], key: string) => {
  const found = statusAfter(act, situationFrom(book, { kind, key }, { sender: { key: 'imke' } })!);
  return found && `${found.record}: ${found.from} to ${found.to}`;
};

it.each([
  ['enquiry answered', 'enquiry', 'e1', 'the enquiry: waiting to answered'],
  // Whatever is written to it.
  [undefined, 'enquiry', 'e1', 'the enquiry: waiting to answered'],
  ['enquiry answered', 'enquiry', 'e2', undefined],
  ['visit confirmed', 'booking', 'b1', 'the visit: tentative to confirmed'],
  ['visit confirmed', 'booking', 'b2', undefined],
  ['visit cancelled', 'booking', 'b2', 'the visit: confirmed to cancelled'],
  ['visit done', 'booking', 'b2', 'the visit: confirmed to done'],
  // It is still to come.
  ['visit done', 'booking', 'b1', undefined],
  ['visit ahead', 'booking', 'b1', undefined],
  [undefined, 'booking', 'b1', undefined],
  ['job begun', 'project', 'p1', 'the job: planned to active'],
  ['job finished', 'project', 'p1', 'the job: planned to finished'],
  // The letter is about something else.
  ['job finished', 'client', 'oda', undefined],
] as const)('after “%s” from %s %s: %s', (act, kind, key, said) => expect(after(act, kind, key)).toBe(said));
