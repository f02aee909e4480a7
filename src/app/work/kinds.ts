import type { StartingPoint } from '../../core/records/which/situation';
import type { CurrentMember } from '../../server/currentMember';
import { listBookings, listEnquiries, listInvoices, listProjects, type ListEntry } from '../../server/lists';

interface WorkKind {
  kind: StartingPoint['kind'];
  title: string;
  list: (member: CurrentMember) => Promise<ListEntry[]>;
  find: string;
  empty: string;
}

/** The kinds of work by the last part of their path. */
export const WORK_KINDS: ReadonlyMap<string, WorkKind> = new Map<string, WorkKind>([
  [
    'bookings',
    {
      kind: 'booking',
      title: 'Visits',
      list: listBookings,
      find: 'Find a visit',
      empty: 'There is no visit yet.',
    },
  ],
  [
    'invoices',
    {
      kind: 'invoice',
      title: 'Invoices',
      list: listInvoices,
      find: 'Find an invoice',
      empty: 'There is no invoice yet.',
    },
  ],
  [
    'projects',
    {
      kind: 'project',
      title: 'Projects',
      list: listProjects,
      find: 'Find a project',
      empty: 'There is no project yet.',
    },
  ],
  [
    'enquiries',
    {
      kind: 'enquiry',
      title: 'Enquiries',
      list: listEnquiries,
      find: 'Find an enquiry',
      empty: 'Nobody has asked yet.',
    },
  ],
]);
