/** Where the device's share sheet gives something to the application (W3C, Web Share Target; public/service-worker.js). */
export const SHARE = '/share';

/** Where it lies until it is in a letter. */
const SHARED = 'fair-quill-shared';
const WORDS = '/share/words';
const FILE = '/share/files/';

/** Something that was shared to the application. */
export interface Shared {
  words: string;
  files: { place: string; file: File }[];
}

/** What was shared last and is in no letter yet; undefined: nothing is. */
export async function readShared(): Promise<Shared | undefined> {
  const cache = await open();
  if (!cache) return undefined;
  const words = (await (await cache.match(WORDS))?.text()) ?? '';
  const files: Shared['files'] = [];
  for (const { url } of await cache.keys()) {
    const { pathname: place } = new URL(url);
    if (!place.startsWith(FILE)) continue;
    const blob = await (await cache.match(place))!.blob();
    const name = decodeURIComponent(place.slice(place.lastIndexOf('/') + 1));
    files.push({ place, file: new File([blob], name, { type: blob.type }) });
  }
  return words || files.length > 0 ? { words, files } : undefined;
}

/** The words are in a letter now. */
export async function wordsAreIn(): Promise<void> {
  await (await open())?.delete(WORDS);
}

/** A file is with a letter now. */
export async function fileIsIn(place: string): Promise<void> {
  await (await open())?.delete(place);
}

/** It is not wanted, or nobody is signed in any more. */
export async function clearShared(): Promise<void> {
  if ('caches' in window) await caches.delete(SHARED).catch(() => false);
}

async function open(): Promise<Cache | undefined> {
  if (!('caches' in window) || !(await caches.has(SHARED).catch(() => false))) return undefined;
  return caches.open(SHARED);
}
