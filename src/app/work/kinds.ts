import { withArticle } from '../../core/fill/formats/article';
import { capital } from '../../core/describe/capital';
import type { BookingWords } from '../../core/records/bookingWords';
import type { StartingPoint } from '../../core/records/which/situation';

interface WorkKind {
  kind: StartingPoint['kind'];
  title: (words: BookingWords) => string;
  find: (words: BookingWords) => string;
  empty: (words: BookingWords) => string;
}

/** The kinds of work by the last part of their path. */
export const WORK_KINDS: ReadonlyMap<string, WorkKind> = new Map<string, WorkKind>([
  [
    'bookings',
    {
      kind: 'booking',
      title: ({ bookings }) => capital(bookings),
      find: ({ booking }) => `Find ${withArticle(booking)}`,
      empty: ({ booking }) => `There is no ${booking} yet.`,
    },
  ],
  [
    'invoices',
    {
      kind: 'invoice',
      title: () => 'Invoices',
      find: () => 'Find an invoice',
      empty: () => 'There is no invoice yet.',
    },
  ],
  [
    'projects',
    {
      kind: 'project',
      title: () => 'Projects',
      find: () => 'Find a project',
      empty: () => 'There is no project yet.',
    },
  ],
  [
    'enquiries',
    {
      kind: 'enquiry',
      title: () => 'Enquiries',
      find: () => 'Find an enquiry',
      empty: () => 'Nobody has asked yet.',
    },
  ],
]);
