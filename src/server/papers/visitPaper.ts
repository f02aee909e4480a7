import { calendarEntry } from '../../core/papers/calendarEntry';
import { visitFileName } from '../../core/papers/paperNames';
import type { RecordBook } from '../../core/records/recordBook';
import type { BookingData } from '../../core/records/recordsFile';
import { uidOfBooking } from '../../core/takingOut/calendarOf';
import { startingRecord } from '../../data/repositories/startingRecords';
import { connection } from '../connection';
import { bookAbout } from './bookAbout';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import type { MadePaper } from './invoicePaper';

/** A visit as an entry for its client's calendar. Undefined: there is no such visit. */
export const visitPaper = forMember(
  async ({ business_id }: CurrentMember, key: string): Promise<MadePaper | undefined> => {
    const book = await bookAbout(business_id, { kind: 'booking', key });
    return book && paperOfVisit(business_id, book, book.bookings.get(key)!);
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
