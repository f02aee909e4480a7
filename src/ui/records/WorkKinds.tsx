import Link from 'next/link';
import { capital } from '../../core/describe/capital';
import type { BookingWords } from '../../core/records/bookingWords';

const KINDS = [
  { kind: 'invoices', name: 'Invoices' },
  { kind: 'projects', name: 'Projects' },
  { kind: 'enquiries', name: 'Enquiries' },
  { kind: 'partners', name: 'Partners' },
];

/** The kinds of work, as words above the list. */
export function WorkKinds({ kind: here, words }: { kind: string; words: BookingWords }) {
  const kinds = [{ kind: 'bookings', name: capital(words.bookings) }, ...KINDS];
  return (
    <nav className="kinds" aria-label="Kinds of work">
      {kinds.map(({ kind, name }) => (
        <Link key={kind} href={`/work/${kind}`} aria-current={kind === here ? 'page' : undefined}>
          {name}
        </Link>
      ))}
    </nav>
  );
}
