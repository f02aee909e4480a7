import Link from 'next/link';

const KINDS = [
  { kind: 'bookings', name: 'Visits' },
  { kind: 'invoices', name: 'Invoices' },
  { kind: 'projects', name: 'Projects' },
  { kind: 'enquiries', name: 'Enquiries' },
];

/** The kinds of work, as words above the list. */
export function WorkKinds({ kind: here }: { kind: string }) {
  return (
    <nav className="kinds" aria-label="Kinds of work">
      {KINDS.map(({ kind, name }) => (
        <Link key={kind} href={`/work/${kind}`} aria-current={kind === here ? 'page' : undefined}>
          {name}
        </Link>
      ))}
    </nav>
  );
}
