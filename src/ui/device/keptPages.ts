/** Where the service worker keeps the pages that were seen last (public/service-worker.js). */
const SEEN = 'fair-quill-seen';

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

/** The pages that are kept on this device, the last one first, by what they are called. */
export async function keptPages(): Promise<{ path: string; name: string }[]> {
  if (!('caches' in window) || !(await caches.has(SEEN))) return [];
  const cache = await caches.open(SEEN);
  const keeping = (await (await cache.match('/kept-for'))?.json()) as Keeping | undefined;
  const oldest = Date.now() - (keeping?.days ?? 0) * 86_400_000;
  const pages = [];
  for (const key of await cache.keys()) {
    const kept = await cache.match(key);
    const name = kept?.headers.get('x-kept-name');
    if (!name) continue;
    const { pathname, search } = new URL(key.url);
    const at = Number(kept!.headers.get('x-kept-at'));
    if (at < oldest) continue;
    pages.push({ path: pathname + search, name: textOf(decodeURIComponent(name)), at });
  }
  return pages.sort((a, b) => b.at - a.at).map(({ path, name }) => ({ path, name }));
}

/** What a title says: it is kept as it stands in the page. */
function textOf(title: string): string {
  return new DOMParser().parseFromString(title, 'text/html').body.textContent;
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
