import type { StartingKind } from '../../core/records/recordKind';

const PLACES: Readonly<Record<StartingKind, string>> = {
  client: '/clients',
  enquiry: '/work/enquiries',
  project: '/work/projects',
  booking: '/work/bookings',
  invoice: '/work/invoices',
};

/** The page of a record. */
export function recordPath({ kind, key }: { kind: StartingKind; key: string }): string {
  return `${PLACES[kind]}/${encodeURIComponent(key)}`;
}
