'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { Icon } from './Icon';
import { SIGNS } from './signs';

/** The places that are there so far. */
const PLACES = [
  { path: '/today', name: 'Today', sign: SIGNS.sun },
  { path: '/clients', name: 'Clients', sign: SIGNS.person },
  { path: '/work', name: 'Work', sign: SIGNS.briefcase },
  { path: '/templates', name: 'Templates', sign: SIGNS['file-earmark-text'] },
  { path: '/post', name: 'Post', sign: SIGNS.envelope },
] as const;

export function Places() {
  const here = usePathname();
  return (
    <nav aria-label="Places">
      {PLACES.map(({ path, name, sign }) => (
        <Link
          key={path}
          href={path}
          // Nothing is fetched ahead of the letter that is being opened.
          prefetch={false}
          className="place"
          aria-current={here.startsWith(path) ? 'page' : undefined}
        >
          <Icon sign={sign} />
          {name}
        </Link>
      ))}
    </nav>
  );
}
