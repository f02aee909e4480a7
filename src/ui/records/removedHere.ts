'use client';

import { useSyncExternalStore } from 'react';

/** A record that was removed on this page a moment ago. */
export interface RemovedHere {
  /** what puts it back */
  id: string;
  name: string;
}

let latest: RemovedHere | undefined;
const listeners = new Set<() => void>();

/** Tells of a removal, or that there is nothing to be told any more. */
export function tellRemoved(removed: RemovedHere | undefined): void {
  latest = removed;
  for (const listener of listeners) listener();
}

/** What was removed a moment ago. */
export function useRemovedHere(): RemovedHere | undefined {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => latest,
    () => undefined,
  );
}
