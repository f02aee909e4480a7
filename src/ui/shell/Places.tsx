'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';

/** The places that are there so far. */
const PLACES = [
  { path: '/today', name: 'Today', icon: 'bi-sun' },
  { path: '/clients', name: 'Clients', icon: 'bi-person' },
  { path: '/work', name: 'Work', icon: 'bi-briefcase' },
  { path: '/templates', name: 'Templates', icon: 'bi-file-earmark-text' },
  { path: '/post', name: 'Post', icon: 'bi-envelope' },
];

export function Places() {
  const here = usePathname();
  return (
    <nav aria-label="Places">
      {PLACES.map(({ path, name, icon }) => (
        <Link
          key={path}
          href={path}
          // Nothing is fetched ahead of the letter that is being opened.
          prefetch={false}
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
