import type { FormKind } from '../../core/contract/records/formKinds';

const PLACES: Readonly<Record<FormKind, string>> = {
  client: '/clients',
  enquiry: '/work/enquiries',
  project: '/work/projects',
  booking: '/work/bookings',
  invoice: '/work/invoices',
  partner: '/work/partners',
};

/** The page of a record; a thing is found at its client. */
export function recordPath({
  kind,
  key,
  client = '',
}: {
  kind: FormKind | 'item';
  key: string;
  client?: string;
}): string {
  if (kind === 'item')
    return `${PLACES.client}/${encodeURIComponent(client)}/items/${encodeURIComponent(key)}`;
  return `${PLACES[kind]}/${encodeURIComponent(key)}`;
}
