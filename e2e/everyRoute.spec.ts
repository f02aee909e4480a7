import { createHash, randomBytes } from 'node:crypto';
import { expect, test } from '@playwright/test';
import pg from 'pg';
import { addressOf, ask, BODIES, everyRoute, type Answered, type Route } from './everyRoute';

// Every route there is, as a stranger, as each role, as a member of another business, with wrong types and hostile texts.

/** Open to anybody. */
const OPEN = [
  '/ask/[token]',
  '/calendar/[token]',
  '/api/business',
  '/api/session',
  '/health',
  '/opened/[mark]',
  '/sign-in',
];
/** What no other business may read. */
const OURS = /Hartigan|Brandreth|LPC-10\d\d|Larkfield|Thornholt/;

const HOSTILE_PARTS = [
  ...[
    '__proto__',
    'constructor',
    'toString',
    '%00',
    '%ff',
    '%ED%A0%80',
    '..%2f..%2f',
    '%2e%2e',
    "'--",
    '%',
    '"',
  ],
  ...[
    '2147483648',
    '-1',
    'x'.repeat(5000),
    '%E2%80%AE',
    '{{client.name}}',
    '00000000-0000-4000-8000-000000000000',
  ],
];
const HOSTILE_VALUES: unknown[] = [
  ...[
    null,
    [],
    {},
    true,
    '',
    -1,
    2 ** 31,
    1e308,
    0.5,
    'NUL \0',
    'half \ud800',
    '__proto__',
    'constructor',
    ['x'],
  ],
  ...[
    'x'.repeat(70_000),
    { toString: 1 },
    '<script>alert(1)</script>',
    "'; drop table client; --",
    '>'.repeat(20_000),
  ],
];
const HOSTILE_BODIES = [
  ...['', '{', '[]', 'null', '0', '"text"', '{}', '{"__proto__":{"version":1}}', '{"a":"\\u0000"}', '\u0000'],
  ...[`${'['.repeat(5000)}${']'.repeat(5000)}`, `{"a":${'9'.repeat(400)}}`, `"${'x'.repeat(3_000_000)}"`],
];

const keys: { letter: string; picture: string; owner: string; member: string; stranger: string } = {
  ...{ letter: '', picture: '', owner: '', member: '', stranger: '' },
};

test.describe.configure({ mode: 'serial', timeout: 600_000 });
test.skip(({ viewport }) => viewport!.width < 500, 'No page is drawn: once is enough.');

test.beforeAll(async () => {
  const client = new pg.Client({
    connectionString: process.env.DATABASE_URL,
    options: '-c fairquill.business=every',
  });
  await client.connect();
  const one = async (sql: string, values: unknown[] = []) =>
    (await client.query(sql, values)).rows[0] as Record<string, string>;
  await client.query(`insert into business (id, key, name, locale, time_zone, currency)
    values ('00000000-0000-4000-8000-00000000b002', 'elsewhere', 'Elsewhere', 'en-GB', 'Europe/London', 'GBP')
    on conflict do nothing`);
  await client.query(`insert into member (business_id, id, key, full_name, email, role, password_hash)
    values ('00000000-0000-4000-8000-00000000b002', '00000000-0000-4000-8000-00000000c002', 'other', 'Somebody Else',
      'somebody@elsewhere.example', 'owner', 'none') on conflict do nothing`);
  async function session(member: Record<string, string>): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    await client.query(
      `insert into session (business_id, id, member_id, token_hash, expires_at)
       values ($1, gen_random_uuid(), $2, $3, now() + interval '1 hour')`,
      [member.business_id, member.id, createHash('sha256').update(token).digest('hex')],
    );
    return token;
  }
  const of = (key: string) => one('select business_id, id from member where key = $1', [key]);
  Object.assign(keys, {
    letter: (await one("select id from message where html is not null or direction = 'out' limit 1")).id,
    picture: (await one("select sha256 from file where media_type like 'image/%' limit 1")).sha256,
    owner: await session(await of('imke')),
    member: await session(await of('teo')),
    stranger: await session(await of('other')),
  });
  await client.end();
});

const ROUTES = everyRoute();
const addressFor = (route: Route) => addressOf(route, { id: keys.letter, sha256: keys.picture });
const bodyFor = (route: Route, method: string) =>
  method === 'GET' ? {} : { body: JSON.stringify(BODIES[`${method} ${route.path}`]) };
const each = ROUTES.flatMap((route) => route.methods.map((method) => ({ route, method })));
/** Signing out would end what is asked with. */
const asked = each.filter(({ route, method }) => !(route.path === '/api/session' && method === 'DELETE'));

/** An answer that says what is wrong, in words, and no more. */
function expectWords(what: string, { status, words }: Answered, route: Route, among: readonly number[] = []) {
  expect(status, `${what}: ${words.slice(0, 200)}`).toBeGreaterThanOrEqual(200);
  expect(status, `${what}: ${words.slice(0, 200)}`).toBeLessThan(500);
  if (among.length) expect(among, what).toContain(status);
  // “..” in an address leads to another one, which may know no such method: the framework says so without words.
  if (status < 400 || status === 405 || route.isPage) return;
  // The page knows what to say to a result or a state.
  const {
    error,
    result,
    status: state,
  } = (words.startsWith('{') ? JSON.parse(words) : {}) as Record<string, string>;
  const said = error ?? result ?? state ?? words;
  expect(said.length, `${what} says nothing`).toBeGreaterThan(3);
  expect(said, what).not.toMatch(/\bat \/|\.ts:|select |stack/i);
}

/** What was asked for by its key is told back by pages as the address they are at. */
const withoutAddress = (words: string) => words.replaceAll('LPC-1048', '');

test('every handler that changes something has a sample of what it is sent', () => {
  for (const { route, method } of each)
    if (method !== 'GET')
      expect(BODIES, `${method} ${route.path}`).toHaveProperty([`${method} ${route.path}`]);
});

test('a stranger gets no further than the sign-in page', async () => {
  for (const { route, method } of asked) {
    if (OPEN.includes(route.path)) continue;
    const answer = await ask({ method, address: addressFor(route), ...bodyFor(route, method) });
    const what = `${method} ${route.path}`;
    if (route.isPage) {
      // A page that had begun to be drawn leads there from within.
      const within = /NEXT_REDIRECT;replace;([^;]*)/.exec(answer.words)?.[1];
      const leads = answer.location || (within ?? `nowhere: ${answer.status}`);
      expect(leads, what).toMatch(/^\/(?:sign-in|today|work\/)/);
    } else expectWords(what, answer, route, [401]);
    expect(OURS.exec(withoutAddress(answer.words))?.[0], what).toBeUndefined();
  }
});

test('a member of another business finds nothing of ours', async () => {
  for (const { route, method } of asked) {
    if (OPEN.includes(route.path)) continue;
    const answer = await ask({
      method,
      address: addressFor(route),
      cookie: keys.stranger,
      ...bodyFor(route, method),
    });
    const what = `${method} ${route.path}`;
    expectWords(what, answer, route);
    expect(OURS.exec(withoutAddress(answer.words))?.[0], what).toBeUndefined();
    if (/\[/.test(route.path) && !/\[kind\]$/.test(route.path))
      expect(
        answer.status === 404 || (answer.status === 200 && route.isPage) || answer.status === 409,
        `${what} ${answer.status}`,
      ).toBe(true);
  }
});

test('our own pages are all that may change something', async () => {
  for (const { route, method } of asked.filter(({ method }) => method !== 'GET')) {
    for (const origin of ['https://elsewhere.example', 'null', '']) {
      const answer = await ask({
        method,
        address: addressFor(route),
        cookie: keys.owner,
        headers: { origin },
        ...bodyFor(route, method),
      });
      expectWords(`${method} ${route.path} from ${origin}`, answer, route, [403]);
    }
  }
});

for (const role of ['owner', 'member'] as const) {
  test(`wrong addresses are refused in words, to the ${role}`, async () => {
    const cookie = keys[role];
    // Pages are drawn alike for both.
    const mine = asked.filter(({ route }) => !route.isPage || role === 'owner');
    await atOnce(mine.flatMap(wrongAddresses), async ({ route, method, address, sends }) => {
      const sent = sends ? bodyFor(route, method) : {};
      const answer = await ask({ method, address, cookie, ...sent });
      expectWords(`${method} ${address.slice(0, 80)}`, answer, route);
    });
  });
}

/** A route with each part of its path, and each word that it is asked with, as nobody means it. */
function wrongAddresses({ route, method }: (typeof asked)[number]) {
  const names = [...route.path.matchAll(/\[(\w+)\]/g)].map(([, name]) => name!);
  const ours = { id: keys.letter, sha256: keys.picture };
  return HOSTILE_PARTS.flatMap((part) => [
    ...names.map((name) => ({
      ...{ route, method, sends: true },
      address: addressOf(route, { ...ours, [name]: part }),
    })),
    ...(method === 'GET' && route.asks ? ['find', 'kind', 'from', 'to', 'template'] : []).map((question) => ({
      ...{ route, method, sends: false },
      address: addressOf(route, ours, `?kind=invoice&${question}=${part}&${question}=2`),
    })),
  ]);
}

test('wrong bodies are refused in words', async () => {
  for (const { route, method } of asked.filter(({ method }) => method !== 'GET')) {
    const send = (body: string, headers = {}) =>
      ask({ method, address: addressFor(route), cookie: keys.owner, body, headers });
    const what = `${method} ${route.path}`;
    const sample = BODIES[what]!;
    await atOnce(HOSTILE_BODIES, async (body) =>
      expectWords(`${what} ${body.slice(0, 40)}`, await send(body), route),
    );
    if (Object.keys(sample).length === 0) continue;
    const type = { 'content-type': 'text/plain' };
    expectWords(`${what} as text`, await send(JSON.stringify(sample), type), route, [415]);
    await atOnce([...eachChanged(sample)], async ({ where, body }) =>
      expectWords(`${what}, ${where}`, await send(JSON.stringify(body)), route),
    );
  }
});

/** Does something with each of many, some of them at once. */
async function atOnce<T>(all: readonly T[], work: (one: T) => Promise<unknown>): Promise<void> {
  const open = [...all];
  const next = async () => {
    for (let one = open.shift(); one !== undefined; one = open.shift()) await work(one);
  };
  await Promise.all(Array.from({ length: 6 }, next));
}

/** Each place of a body gets so many of the values, and each value so many places: all of them at all would take minutes. */
const OF_VALUES = 3;

/** A body with one of its values, however deep, another; or with one more. */
function* eachChanged(sample: object, turn = { at: 0 }): Generator<{ where: string; body: unknown }> {
  for (const [name, value] of Object.entries(sample)) {
    const mine = turn.at++;
    for (const [i, other] of HOSTILE_VALUES.entries())
      if ((i + mine) % OF_VALUES === 0)
        yield {
          where: `${name} is ${JSON.stringify(other)?.slice(0, 40)}`,
          body: { ...sample, [name]: other },
        };
    if (typeof value === 'object' && value !== null && !Array.isArray(value))
      for (const { where, body } of eachChanged(value as object, turn))
        yield { where: `${name}.${where}`, body: { ...sample, [name]: body } };
  }
  yield { where: 'one more', body: { ...sample, more_than_that: 1 } };
}
