import type { FormKind } from '../../core/contract/records/recordForms';

const PLACES: Readonly<Record<FormKind, string>> = {
  client: '/clients',
  enquiry: '/work/enquiries',
  project: '/work/projects',
  booking: '/work/bookings',
  invoice: '/work/invoices',
  partner: '/work/partners',
};

/** The page of a record. */
export function recordPath({ kind, key }: { kind: FormKind; key: string }): string {
  return `${PLACES[kind]}/${encodeURIComponent(key)}`;
}
