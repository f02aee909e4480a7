import { calendarEntry } from '../../core/papers/calendarEntry';
import { visitFileName } from '../../core/papers/paperNames';
import { RecordBook } from '../../core/records/recordBook';
import type { BookingData } from '../../core/records/recordsFile';
import { uidOfBooking } from '../../core/takingOut/calendarOf';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { scopeFrom, startingRecord } from '../../data/repositories/startingRecords';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import type { MadePaper } from './invoicePaper';

/** A visit as an entry for its client's calendar. Undefined: there is no such visit. */
export const visitPaper = forMember(
  async ({ business_id }: CurrentMember, key: string): Promise<MadePaper | undefined> => {
    const database = connection();
    const start = { kind: 'booking', key } as const;
    const record = await startingRecord(database, business_id, start);
    if (!record) return undefined;
    const records = await recordsOfBusiness(database, business_id, scopeFrom(start, record));
    const book = new RecordBook(records!, now());
    return paperOfVisit(business_id, book, book.bookings.get(key)!);
  },
);

/** The same for one whose records are at hand. */
export async function paperOfVisit(
  business_id: string,
  book: RecordBook,
  booking: BookingData,
): Promise<MadePaper> {
  const start = { kind: 'booking', key: booking.key } as const;
  const { version } = (await startingRecord(connection(), business_id, start))!;
  const uid = uidOfBooking(business_id, booking.key);
  return {
    name: visitFileName(booking),
    content: Buffer.from(calendarEntry(book, booking, { uid, version })),
  };
}
