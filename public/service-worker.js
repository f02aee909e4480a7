// Answers when there is no connection: with the pages that were seen last, and with one of our own for the others.
// Pages are kept when one of them asks for it, for one member, as long as the business wants them kept on a device.

/** Our own page when nothing else is kept. */
const OWN = 'fair-quill-2';
const OFFLINE = '/offline.html';
/** What the application is built of. Its names tell its contents, so that it is never out of date. */
const BUILT = 'fair-quill-built';
const PARTS = '/_next/static/built.json';
/** Pages with what they show; ui/device/keptPages.ts throws them away, ui/device/whatIsKept.ts names them. */
const SEEN = 'fair-quill-seen';
/** Where it stands whose they are, and for how many days they are kept. */
const KEEPING = '/kept-for';
/** When a page was kept: milliseconds. */
const KEPT_AT = 'x-kept-at';
/** What a page that was kept is called, as it stands in its title. */
const KEPT_NAME = 'x-kept-name';
/** Where letters are written. */
const LETTERS = '/write';

/** Where the device's share sheet gives something, and where it lies until it is in a letter (ui/device/shared.ts). */
const SHARE = '/share';
const SHARED = 'fair-quill-shared';
/** So many files are taken, each of at most so many bytes, and so many characters. */
const MOST_SHARED = 20;
const LARGEST_SHARED = 25_000_000;
const LONGEST_SHARED = 20_000;

const DAY = 86_400_000;
/** A server that does not answer is waited for so many milliseconds, where there is a page to show instead. */
const PATIENCE = 5_000;
/** Pages of which nothing is shown keep so long: milliseconds. */
const FRESH = 60_000;
const MOST_PAGES = 200;
/** So many of the pages that are kept are named where another one was asked for. */
const MOST_NAMED = 24;
const UNREACHED = new Set([502, 503, 504]);

self.addEventListener('install', (event) => {
  event.waitUntil(
    caches
      .open(OWN)
      .then((cache) => cache.add(new Request(OFFLINE, { cache: 'reload' })))
      .then(() => self.skipWaiting()),
  );
});

self.addEventListener('activate', (event) => {
  const ours = new Set([OWN, BUILT, SEEN, SHARED]);
  event.waitUntil(
    caches
      .keys()
      .then((names) =>
        Promise.all(names.filter((name) => !ours.has(name)).map((name) => caches.delete(name))),
      )
      .then(() => self.clients.claim()),
  );
});

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method === 'POST' && request.mode === 'navigate' && url.pathname === SHARE)
    return event.respondWith(takeShared(request));
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (request.mode === 'navigate') event.respondWith(page(request, url));
  else if (url.searchParams.has('_rsc') && !request.headers.has('next-router-prefetch'))
    event.respondWith(nextPage(request, url));
  else if (url.pathname.startsWith('/_next/static/')) event.respondWith(part(request));
  else if (request.destination === 'image' && url.pathname.startsWith('/api/pictures/'))
    event.respondWith(picture(request));
});

self.addEventListener('message', (event) => {
  const { keep, ahead = [], owner, days } = event.data ?? {};
  if (typeof keep === 'string') event.waitUntil(keepSeen(keep, ahead, { owner, days }));
});

/** A notice of what came in leads to it. */
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const { path } = event.notification.data ?? {};
  if (typeof path === 'string' && path.startsWith('/post/')) event.waitUntil(self.clients.openWindow(path));
});

/** The place that the server has just not answered for, to the page before it. */
let unanswered;

/** A page from the server, or as it was seen last. */
async function page(request, url) {
  const kept = unanswered === placeOf(url) && (await keptPage(url));
  unanswered = undefined;
  if (kept) return kept;
  const asked = fetch(request);
  asked.catch(() => undefined);
  try {
    const answer = await Promise.race([asked, patience()]);
    if (answer && !UNREACHED.has(answer.status)) return answer;
    return (await keptPage(url)) ?? (await asked);
  } catch {
    return (await keptPage(url)) ?? (await offlinePage()) ?? Response.error();
  }
}

/**
 * What the page that is shown asks for to become another one. Where the server does not answer and the other one is kept, it is told
 * that there is no answer: it goes there as a whole, then.
 */
async function nextPage(request, url) {
  const asked = fetch(request);
  asked.catch(() => undefined);
  const answer = await Promise.race([asked, patience()]);
  if (answer) return answer;
  url.searchParams.delete('_rsc');
  if (!(await keptPage(url))) return asked;
  unanswered = placeOf(url);
  return Response.error();
}

/** Ends when a server has been waited for long enough. */
function patience() {
  return new Promise((resolve) => setTimeout(resolve, PATIENCE));
}

/** A page that was kept, unless it has been kept for too long. A letter from one record can be read into any of its pages. */
async function keptPage(url) {
  const cache = await caches.open(SEEN);
  const [kept, keeping] = await Promise.all([cache.match(placeOf(url)), keepingOf(cache)]);
  if (!keeping) return undefined;
  if (kept) return isOver(kept, keeping.days) ? undefined : kept;
  if (url.pathname !== LETTERS) return undefined;
  const from = url.searchParams.get('from');
  const isFrom = (other) => other.pathname === LETTERS && other.searchParams.get('from') === from;
  const place = (await cache.keys()).findLast((key) => isFrom(new URL(key.url)));
  const other = place && (await cache.match(place));
  if (!other || isOver(other, keeping.days)) return undefined;
  // What it shows at first is another template's: it is not shown.
  const html = (await other.text()).replace('<html ', '<html data-kept-for-other="" ');
  return new Response(html, { headers: other.headers });
}

/** Our own page, with the pages that are kept, the last one first. */
async function offlinePage() {
  const own = await caches.match(OFFLINE, { cacheName: OWN });
  if (!own || !(await caches.has(SEEN))) return own;
  const cache = await caches.open(SEEN);
  const days = (await keepingOf(cache))?.days ?? 0;
  const kept = [];
  for (const key of await cache.keys()) {
    const page = await cache.match(key);
    const [at, name] = [KEPT_AT, KEPT_NAME].map((one) => page.headers.get(one));
    if (name && !isOver(page, days)) kept.push({ at, name, url: new URL(key.url) });
  }
  if (kept.length === 0) return own;
  const links = kept
    .sort((a, b) => b.at - a.at)
    .slice(0, MOST_NAMED)
    .map(
      ({ name, url: { pathname, search } }) =>
        `<li><a href="${(pathname + search).replaceAll('&', '&amp;').replaceAll('"', '%22')}">${decodeURIComponent(name)}</a></li>`,
    );
  const list = `<h2>Kept on this device</h2><ul>${links.join('')}</ul>`;
  const { headers } = own;
  return new Response(
    (await own.text()).replace('<!-- what is kept -->', () => list),
    {
      headers: { 'content-type': headers.get('content-type') },
    },
  );
}

/** Where a page is kept. What else the address of a letter says is read from it by the page itself. */
function placeOf({ pathname, searchParams, search }) {
  if (pathname !== LETTERS) return pathname + search;
  const asked = ['from', 'template', 'reply'].filter((name) => searchParams.has(name));
  return `${LETTERS}?${asked.map((name) => `${name}=${encodeURIComponent(searchParams.get(name))}`).join('&')}`;
}

function isOver(kept, days) {
  return Date.now() - Number(kept.headers.get(KEPT_AT)) > days * DAY;
}

async function keepingOf(cache) {
  return (await cache.match(KEEPING))?.json();
}

/** Keeps a page as it is now, and what it is built of, then what may be wanted next; those of somebody else go. */
async function keepSeen(path, ahead, { owner, days }) {
  if (!(await caches.has(SEEN)) || (await keepingOf(await caches.open(SEEN)))?.owner !== owner)
    await caches.delete(SEEN);
  if (!days) return void (await caches.delete(SEEN));
  const cache = await caches.open(SEEN);
  await cache.put(KEEPING, Response.json({ owner, days }));
  await dropOld(cache, days);
  await keepPage(cache, path, owner, FRESH).catch(() => undefined);
  await keepParts(days, path).catch(() => undefined);
  // What may be wanted next is kept a while longer, and not where every byte counts.
  if (self.navigator.connection?.saveData) return;
  for (const next of ahead) await keepPage(cache, next, owner, 30 * FRESH).catch(() => undefined);
}

async function keepPage(cache, path, owner, fresh) {
  const url = new URL(path, self.location.origin);
  const place = placeOf(url);
  const before = await cache.match(place);
  if (before && Date.now() - Number(before.headers.get(KEPT_AT)) < fresh) return;
  const answer = await fetch(url, { headers: { accept: 'text/html', 'x-keep': '1' } });
  const type = answer.headers.get('content-type') ?? '';
  if (!answer.ok || answer.redirected || !type.startsWith('text/html')) return;
  const html = await answer.text();
  // Somebody else may have signed in meanwhile.
  if (!html.includes(`data-owner="${owner}"`) || (await keepingOf(cache))?.owner !== owner) return;
  const headers = keptNow(answer);
  const name = /<title>([^<]+?)(?: · Fair Quill)?<\/title>/.exec(html)?.[1];
  if (name) headers.set(KEPT_NAME, encodeURIComponent(name));
  // The page tells of when it is.
  const shown = html.replace('<html ', `<html data-kept-at="${headers.get(KEPT_AT)}" `);
  await cache.put(place, new Response(shown, { headers }));
}

/** The headers of an answer that is kept from now on, with its content as it is read. */
function keptNow(answer) {
  const headers = new Headers(answer.headers);
  headers.set(KEPT_AT, String(Date.now()));
  for (const name of ['content-encoding', 'content-length']) headers.delete(name);
  return headers;
}

/** Pages that were kept for too long go, and the oldest where there are too many. */
async function dropOld(cache, days) {
  const keys = (await cache.keys()).filter(({ url }) => new URL(url).pathname !== KEEPING);
  const most = Math.max(0, keys.length - MOST_PAGES);
  for (const [at, key] of keys.entries())
    if (at < most || isOver(await cache.match(key), days)) await cache.delete(key);
}

/** When it was looked last whether all parts are here. */
let partsAt = -Infinity;

/** The parts that are built and not here yet, those of a page first; those of an earlier build stay as long as pages may need them. */
async function keepParts(days, path) {
  if (Date.now() - partsAt < FRESH) return;
  const answer = await fetch(PARTS, { cache: 'reload' });
  if (!answer.ok) return;
  const parts = new Set(await answer.json());
  const cache = await caches.open(BUILT);
  for (const key of await cache.keys()) {
    if (parts.delete(new URL(key.url).pathname)) continue;
    const age = Date.now() - Date.parse((await cache.match(key)).headers.get('date') ?? '');
    if (!(age < days * DAY)) await cache.delete(key);
  }
  const named = (await (await keptPage(new URL(path, self.location.origin)))?.text()) ?? '';
  const wanted = [...parts].sort((a, b) => named.includes(b) - named.includes(a));
  const next = async () => {
    for (let one = wanted.shift(); one; one = wanted.shift())
      await cache.add(new Request(one, { priority: 'low' }));
  };
  // A few at a time: whoever is looking at a page comes first.
  await Promise.all([next(), next(), next()]);
  partsAt = Date.now();
}

async function part(request) {
  const cache = await caches.open(BUILT);
  const kept = await cache.match(request.url);
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request.url, answer.clone());
  return answer;
}

/** A picture from the server, or as it was seen last: its address tells its contents. */
async function picture(request) {
  const cache = (await caches.has(SEEN)) && (await caches.open(SEEN));
  const kept = cache && (await cache.match(request.url));
  if (kept) return kept;
  const answer = await fetch(request);
  if (cache && answer.ok)
    await cache.put(request.url, new Response(await answer.clone().blob(), { headers: keptNow(answer) }));
  return answer;
}

/** Keeps what was shared, in place of what was before, and goes to the page that asks to whom it goes. */
async function takeShared(request) {
  let left = '';
  try {
    const form = await request.formData();
    await caches.delete(SHARED);
    const cache = await caches.open(SHARED);
    const words = ['title', 'text', 'url']
      .map((name) => form.get(name))
      .filter((one) => one && !(one instanceof File));
    await cache.put('/share/words', new Response([...new Set(words)].join('\n').slice(0, LONGEST_SHARED)));
    const files = form.getAll('files').filter((one) => one instanceof File && one.size > 0);
    const taken = files.filter(({ size }) => size <= LARGEST_SHARED).slice(0, MOST_SHARED);
    for (const [at, file] of taken.entries())
      await cache.put(
        `/share/files/${at}/${encodeURIComponent(file.name || 'picture.jpg')}`,
        new Response(file),
      );
    if (taken.length < files.length) left = `?left=${files.length - taken.length}`;
  } catch {
    left = '?lost';
  }
  return Response.redirect(SHARE + left, 303);
}
