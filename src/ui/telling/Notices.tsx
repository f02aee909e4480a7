'use client';

import { useEffect } from 'react';
import { NOTICES_SETTLED, wantsNotices } from './wantsNotices';

/**
 * Tells by the browser's own notices of what comes in, where a member allows it on this device: of what it is and from whom, and only while no
 * page of ours that would show it is in front. One page of a device does it for all.
 */
export function Notices({ owner }: { owner: string }) {
  useEffect(() => {
    let end = new AbortController();
    const settle = () => {
      end.abort();
      end = new AbortController();
      const { signal } = end;
      if (!wantsNotices(owner)) return;
      // What few devices want is not loaded by the others.
      const telling = async () => (await import('./tellUntil')).tellUntil(signal);
      navigator.locks.request('fair-quill notices', { signal }, telling).catch(() => undefined);
    };
    settle();
    window.addEventListener(NOTICES_SETTLED, settle);
    return () => {
      window.removeEventListener(NOTICES_SETTLED, settle);
      end.abort();
    };
  }, [owner]);
  return null;
}
