'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';

/** The places that are there so far. */
const PLACES = [{ path: '/templates', name: 'Templates', icon: 'bi-file-earmark-text' }];

export function Places() {
  const here = usePathname();
  return (
    <nav aria-label="Places">
      {PLACES.map(({ path, name, icon }) => (
        <Link
          key={path}
          href={path}
          className="place"
          aria-current={here.startsWith(path) ? 'page' : undefined}
        >
          <i className={`bi ${icon}`} aria-hidden="true" />
          {name}
        </Link>
      ))}
    </nav>
  );
}
