/** Where the service worker keeps the pages that were seen last (public/service-worker.js). */
export const SEEN = 'fair-quill-seen';

/** For whom pages are kept on this device, and how long. */
export interface Keeping {
  /** business and member */
  owner: string;
  /** days; 0: nothing is kept */
  days: number;
}

/**
 * Has the service worker keep a page as it is now, to be shown when there is no connection.
 * @param path the page
 * @param ahead pages that are likely to be wanted next
 */
export async function keepPage(path: string, ahead: readonly string[], keeping: Keeping): Promise<void> {
  const { active } = (await navigator.serviceWorker?.ready) ?? {};
  active?.postMessage({ keep: path, ahead, ...keeping });
}

/** When the page on the screen was kept, in milliseconds; undefined: it has come from the server just now. */
export function pageKeptAt(): number | undefined {
  const at = document.documentElement.dataset.keptAt;
  return at === undefined ? undefined : Number(at);
}

/** What is on the screen has come from the server since. */
export function pageIsFresh(): void {
  delete document.documentElement.dataset.keptAt;
}

/** Nothing of a business stays on a device that nobody is signed in on. */
export async function clearKeptPages(): Promise<void> {
  // On a plain address of the local network browsers keep none.
  if ('caches' in window) await caches.delete(SEEN).catch(() => false);
}
