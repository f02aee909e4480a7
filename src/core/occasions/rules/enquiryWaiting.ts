import { dayAt, readMoment } from '../../dates/zone';
import { formatsOf } from '../../fill/formats/formatsOf';
import { clientName } from '../clientName';
import type { OccasionRule } from '../occasion';

/**
 * An enquiry that nobody has answered. Begins when it comes; ends with any letter about it, and when it is answered,
 * becomes work or is closed otherwise.
 */
export const enquiryWaiting: OccasionRule = (book, letters) =>
  [...book.enquiries.values()].flatMap((enquiry) => {
    if (enquiry.status !== 'waiting' || letters.lastAbout('enquiry', enquiry.key) !== undefined) return [];
    const day = dayAt(readMoment(enquiry.received_at ?? '') ?? book.now, book.zone);
    const about = enquiry.service ? ` about ${enquiry.service.toLowerCase()}` : '';
    return [
      {
        act: 'enquiry answered',
        start: { kind: 'enquiry', key: enquiry.key },
        since: day,
        name: enquiry.client
          ? clientName(book, enquiry.client)
          : (enquiry.name ?? enquiry.email ?? 'Somebody'),
        reason: `Asked ${formatsOf(book).fromNow(day, book.today)}${about}`,
        // An enquiry presses more with every day, and more than money.
        rank: 10 - Math.min(book.today - day, 9) / 10,
      },
    ];
  });
