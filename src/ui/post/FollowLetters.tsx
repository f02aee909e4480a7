'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { whenLetGo } from './heldPage';

/** What comes at once is taken together, in milliseconds. */
const TOGETHER = 150;

/** Has the page follow what becomes of letters, while it is seen: a browser hears few servers at once. */
export function FollowLetters() {
  const router = useRouter();
  useEffect(() => {
    let heard: EventSource | undefined;
    let soon: ReturnType<typeof setTimeout> | undefined;
    let forget: () => void = () => undefined;
    const follow = () => {
      soon ??= setTimeout(() => {
        soon = undefined;
        forget();
        forget = whenLetGo(() => router.refresh());
      }, TOGETHER);
    };
    const listen = () => {
      if (document.visibilityState === 'hidden') {
        heard?.close();
        heard = undefined;
      } else if (!heard) {
        heard = new EventSource('/api/news');
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
