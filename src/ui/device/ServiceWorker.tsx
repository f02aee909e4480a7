'use client';

import { useEffect } from 'react';

/** Registers the service worker, which answers when there is no connection. */
export function ServiceWorker() {
  useEffect(() => {
    // On a plain address of the local network browsers have none.
    void navigator.serviceWorker?.register('/service-worker.js').catch(() => undefined);
  }, []);
  return null;
}
