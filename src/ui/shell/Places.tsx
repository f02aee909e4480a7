'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { Icon } from './Icon';

/** The places that are there so far. */
const PLACES = [
  { path: '/today', name: 'Today', icon: 'sun' },
  { path: '/clients', name: 'Clients', icon: 'person' },
  { path: '/work', name: 'Work', icon: 'briefcase' },
  { path: '/templates', name: 'Templates', icon: 'file-earmark-text' },
  { path: '/post', name: 'Post', icon: 'envelope' },
] as const;

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
          <Icon name={icon} />
          {name}
        </Link>
      ))}
    </nav>
  );
}
