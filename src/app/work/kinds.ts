import { withArticle } from '../../core/fill/formats/article';
import { capital } from '../../core/describe/capital';
import type { BookingWords } from '../../core/records/bookingWords';
import type { ListedKind } from '../../core/records/recordKind';

interface WorkKind {
  kind: ListedKind;
  title: (words: BookingWords) => string;
  find: (words: BookingWords) => string;
  empty: (words: BookingWords) => string;
  /** what makes one */
  make: (words: BookingWords) => string;
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
      make: ({ booking }) => `New ${booking}`,
    },
  ],
  [
    'invoices',
    {
      kind: 'invoice',
      title: () => 'Invoices',
      find: () => 'Find an invoice',
      empty: () => 'There is no invoice yet.',
      make: () => 'New invoice',
    },
  ],
  [
    'projects',
    {
      kind: 'project',
      title: () => 'Projects',
      find: () => 'Find a project',
      empty: () => 'There is no project yet.',
      make: () => 'New project',
    },
  ],
  [
    'enquiries',
    {
      kind: 'enquiry',
      title: () => 'Enquiries',
      find: () => 'Find an enquiry',
      empty: () => 'Nobody has asked yet.',
      make: () => 'New enquiry',
    },
  ],
  [
    'partners',
    {
      kind: 'partner',
      title: () => 'Partners',
      find: () => 'Find a partner',
      empty: () => 'There is no partner yet.',
      make: () => 'New partner',
    },
  ],
]);
