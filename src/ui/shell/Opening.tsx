'use client';

import { useLinkStatus } from 'next/link';

/** Stands in a link: says, where it takes a while, that the page it leads to is on its way. */
export function Opening() {
  const { pending } = useLinkStatus();
  return pending ? (
    <span className="opening" role="status">
      Opening …
    </span>
  ) : null;
}
