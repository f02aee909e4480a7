import { SEEN, type Keeping } from './keptPages';

/** The pages that are kept on this device, the last one first, by what they are called. */
export async function whatIsKept(): Promise<{ path: string; name: string }[]> {
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
