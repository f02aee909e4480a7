import Link from 'next/link';
import type { StartingKind } from '../../core/records/recordKind';

interface Props {
  kind: StartingKind;
  recordKey: string;
  /** what the business calls a booking */
  booking: string;
  /** an enquiry's client is known */
  hasClient: boolean;
}

/** What can be written down next to a record. */
export function BeginFrom({ kind, recordKey, booking, hasClient }: Props) {
  const from = `?${kind}=${encodeURIComponent(recordKey)}`;
  const making = {
    booking: [`/work/bookings/new${from}`, `New ${booking}`],
    project: [`/work/projects/new${from}`, 'New project'],
    invoice: [`/work/invoices/new${from}`, 'New invoice'],
    enquiry: [`/work/enquiries/new${from}`, 'New enquiry'],
    client: [`/clients/new${from}`, 'Make them a client'],
  } as const;
  const here: readonly (keyof typeof making)[] =
    kind === 'enquiry' ? (hasClient ? ['booking', 'project'] : ['client']) : BEGUN[kind];
  return (
    <p className="begin-from">
      {here.map((one) => (
        <Link key={one} href={making[one][0]} prefetch={false}>
          {making[one][1]}
        </Link>
      ))}
    </p>
  );
}

const BEGUN = {
  client: ['booking', 'project', 'invoice', 'enquiry'],
  project: ['booking', 'invoice'],
  booking: ['invoice'],
  invoice: [],
} as const;
