import Link from 'next/link';
import type { PassageUses } from '../../../core/contract/passages';

/** Where a passage stands; each leads there. */
export function PassageUsesList({ uses: { templates, passages, others } }: { uses: PassageUses }) {
  if (templates.length + passages.length + others === 0) return <p>It stands in no template yet.</p>;
  return (
    <p>
      It stands in{' '}
      {[
        ...templates.map((one) => ({ ...one, href: `/templates/${encodeURIComponent(one.key)}` })),
        ...passages.map((one) => ({ ...one, href: `/templates/passages/${encodeURIComponent(one.key)}` })),
      ].map(({ key, name, href }, i) => (
        <span key={`${href} ${key}`}>
          {i > 0 && ', '}
          <Link href={href}>{name}</Link>
        </span>
      ))}
      {others > 0 && ` and ${others} that only others see`}. What is changed here is changed there.
    </p>
  );
}
