'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { whenLetGo } from './heldPage';

/** What comes at once is taken together, in milliseconds. */
const TOGETHER = 150;
/** … and so long the page stands at least before it follows again: while many letters go, it is not drawn for each. */
const STANDS = 1_500;
/** A page that was asked for within the application was made at most so long before it is there. */
const MADE = 5_000;

/** Has the page follow what becomes of letters, while it is seen: a browser hears few servers at once. */
export function FollowLetters() {
  const router = useRouter();
  useEffect(() => {
    let heard: EventSource | undefined;
    let soon: ReturnType<typeof setTimeout> | undefined;
    let forget: () => void = () => undefined;
    let last = -STANDS;
    const made = Math.max(0, performance.now() - MADE);
    const follow = () => {
      const again = last + STANDS - performance.now();
      soon ??= setTimeout(
        () => {
          soon = undefined;
          last = performance.now();
          forget();
          forget = whenLetGo(() => router.refresh());
        },
        Math.max(TOGETHER, again),
      );
    };
    const listen = () => {
      if (document.visibilityState === 'hidden') {
        heard?.close();
        heard = undefined;
      } else if (!heard) {
        // What has come since the page was made is told at once.
        heard = new EventSource(`/api/news?within=${Math.ceil(performance.now() - made)}`);
        heard.addEventListener('letters', follow);
        // Something may have been missed while it was not heard.
        let isFirst = true;
        heard.addEventListener('open', () => {
          if (!isFirst) follow();
          isFirst = false;
        });
      }
    };
    /** What has come meanwhile is there when the page is seen again. */
    const change = () => {
      if (document.visibilityState === 'visible' && !heard) follow();
      listen();
    };
    listen();
    document.addEventListener('visibilitychange', change);
    return () => {
      document.removeEventListener('visibilitychange', change);
      heard?.close();
      clearTimeout(soon);
      forget();
    };
  }, [router]);
  return null;
}
