import { expect, test, type BrowserContext, type Locator, type Page } from '@playwright/test';
import { ask } from './database';
import { expectAccessible, openToday, signIn, TODAY } from './signedIn';
import { arrived, editable, mailboxOf, sendButton, stetAll, typeBehind } from './writing';

test.use({ serviceWorkers: 'allow' });

/** Clients of its own for each size. */
const CLIENTS = {
  'desk-later': { sent: 'saltbyschool', back: 'jerome', changed: 'vollrath' },
  'phone-later': { sent: 'stpetroc', back: 'fairhavenhome', changed: 'adeyemi' },
} as const;
const of = (name: string) => CLIENTS[name as keyof typeof CLIENTS];

const SUBJECT = 'Where your account stands on 25 November 2026';
const statementTo = (client: string) => `/write?from=client:${client}&template=statement-of-account`;

/** The pages that are kept on this device. */
function kept(page: Page): Promise<string[]> {
  return page.evaluate(async () => {
    if (!(await caches.has('fair-quill-seen'))) return [];
    const keys = await (await caches.open('fair-quill-seen')).keys();
    return keys.map(({ url }) => decodeURIComponent(new URL(url).pathname + new URL(url).search));
  });
}

async function expectKept(page: Page, path: string) {
  await expect.poll(() => kept(page), { timeout: 60_000 }).toContain(path);
  // What it is built of, too.
  const missing = () =>
    page.evaluate(async () => {
      const parts = (await (await fetch('/_next/static/built.json')).json()) as string[];
      const keys = await (await caches.open('fair-quill-built')).keys();
      const here = new Set(keys.map(({ url }) => new URL(url).pathname));
      return parts.filter((part) => !here.has(part));
    });
  await expect.poll(missing, { timeout: 60_000 }).toEqual([]);
}

const noConnection = (page: Page) =>
  page.getByRole('status').filter({ hasText: 'There is no connection. This is how it stood at' });

/** Whom a letter is to, as its head says. */
async function addressOf(letter: Locator): Promise<string> {
  return /[\w.]+@[\w.]+\.example/.exec(await letter.innerText())![0];
}

/** Writes into the statement on the page what it needs to be sent. */
async function writeWords(page: Page, words: string) {
  const letter = page.getByRole('article', { name: /^Letter to/ });
  await editable(page);
  await typeBehind(page, /nothing is open|still open today/, ` ${words}`);
  await stetAll(letter);
  return letter;
}

/** Begins a statement with words of its writer's, on a page that this device has kept. */
async function writeOffline(page: Page, context: BrowserContext, client: string, words: string) {
  await signIn(page);
  await page.goto(statementTo(client));
  await editable(page);
  await expectKept(page, statementTo(client));
  await context.setOffline(true);
  await page.reload();
  await expect(noConnection(page)).toBeVisible();
  const letter = await writeWords(page, words);
  await sendButton(letter).click();
  await expect(letter).toContainText('There is no connection. It waits on this device');
  return letter;
}

test('without a connection the pages that were seen last are there, with what they lead to', async ({
  page,
  context,
}) => {
  await openToday(page);
  const due = page.getByRole('main').locator('a[href^="/write?"][href*="template="]').first();
  const { searchParams } = new URL((await due.getAttribute('href'))!, 'http://here');
  await expectKept(page, `/write?from=${searchParams.get('from')}&template=${searchParams.get('template')}`);
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByRole('heading', { name: TODAY })).toBeVisible();
  await expect(noConnection(page)).toBeVisible();
  await expectAccessible(page);
  await due.click();
  await editable(page);
  await expect(page).toHaveURL(new RegExp(`template=${searchParams.get('template')}`));
  await expect(noConnection(page)).toBeVisible();
  // What was never seen has a page of our own.
  await page.goto('/post', { waitUntil: 'commit' });
  await expect(page.getByRole('heading', { name: 'There is no connection' })).toBeVisible();
  await expect(page).toHaveTitle('No connection · Fair Quill');
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  // What is kept is found by words, letters by whom they are to and by their template.
  await page.getByRole('button', { name: 'Go to …' }).click();
  const palette = page.getByRole('dialog', { name: 'Go to or begin' });
  const written = palette.getByRole('option', { name: /^Write to .+: .+/ });
  await palette.getByRole('combobox').fill('write to');
  await expect(palette.getByRole('status')).toHaveText(
    'There is no connection: these are kept on this device.',
  );
  const name = (await written.first().innerText()).trim();
  await palette.getByRole('combobox').fill(`write ${name.replace(/^Write to (.+): (.+)$/, '$2 $1')}`);
  await expect(written).toHaveText([name]);
  await written.click();
  await expect(noConnection(page)).toBeVisible();
  await expect(await editable(page)).toBeVisible();
  await page.goto('/today');
  await context.setOffline(false);
  await expect(page.getByRole('status').filter({ hasText: 'There is a connection again.' })).toBeVisible();
  await page.getByRole('button', { name: 'Show it as it is now' }).click();
  await expect(page.getByText('This is how it stood')).toHaveCount(0);
  await expect(page.getByRole('heading', { name: TODAY })).toBeVisible();
});

test('a letter that is sent without a connection goes once there is one, and only once', async ({
  page,
  request,
  context,
}, { project }) => {
  const client = of(project.name).sent;
  const letter = await writeOffline(page, context, client, 'From the van.');
  await expectAccessible(page);
  // It is there when its page comes again, and told on others.
  await page.reload();
  await expect(letter).toContainText('It waits on this device');
  await expect(letter).toContainText('From the van.');
  const email = await addressOf(letter);
  await context.setOffline(false);
  await expect(letter.getByText(/^(?:Going|Sent)/)).toBeVisible();
  const found = await arrived(request, email, SUBJECT, 'From the van.');
  expect(found).toHaveLength(1);
  await page.goto('/today');
  await expect(page.getByText('waits on this device')).toHaveCount(0);
});

test('other pages tell of a letter that waits, and give it; its answer may be lost on the way', async ({
  page,
  request,
  context,
}, { project }) => {
  const client = of(project.name).back;
  const letter = await writeOffline(page, context, client, 'Not to go yet.');
  const email = await addressOf(letter);
  await letter.getByRole('button', { name: 'Take it back' }).click();
  await expect(await editable(page)).toContainText('Not to go yet.');
  await typeBehind(page, 'Not to go yet.', ' Now it may.');
  await sendButton(letter).click();
  await expect(letter).toContainText('It waits on this device');
  // A second letter to the same client is another one, though its page was kept for the first.
  await page.goto(`/write?from=client:${client}&template=short-note`);
  await expect(await editable(page)).toContainText('Your words');
  await expect(await editable(page)).not.toContainText('Not to go yet.');
  const told = page.getByRole('status').filter({ hasText: 'waits on this device for a connection' });
  await expect(told).toBeVisible();

  // The server takes it, and the connection goes before it can say so.
  let given = 0;
  await page.route('**/api/letters', async (route) => {
    const answer = await route.fetch();
    if (given++ === 0) return route.abort();
    return route.fulfill({ response: answer });
  });
  await context.setOffline(false);
  await expect(
    page.getByRole('status').filter({ hasText: 'written without a connection, has been given over' }),
  ).toBeVisible({ timeout: 60_000 });
  expect(given).toBe(2);
  await arrived(request, email, SUBJECT, 'Now it may.');
  const all = await mailboxOf(request, email);
  expect(all.filter(({ text }) => text.includes('Not to go yet.'))).toHaveLength(1);
  await page.getByRole('button', { name: 'Put away' }).click();
  await expect(page.getByText('has been given over')).toHaveCount(0);
});

test('on a network that leads nowhere a letter waits on the device, and goes although its page was left', async ({
  page,
  request,
}, { project }) => {
  const client = of(project.name).sent;
  await signIn(page);
  await page.goto(statementTo(client));
  const letter = await writeWords(page, 'From the valley.');
  const email = await addressOf(letter);
  let given = 0;
  await page.route('**/api/letters', (route) => {
    // Nothing answers the first time.
    if (given++ > 0) return route.continue();
  });
  await sendButton(letter).click();
  await expect(letter.getByRole('button', { name: 'Sending …' })).toBeVisible();
  await expect(letter).toContainText('It is kept on this device and goes by itself');
  await page.goto('/today');
  await expect(
    page.getByRole('status').filter({ hasText: 'written without a connection, has been given over' }),
  ).toBeVisible({ timeout: 60_000 });
  expect(given).toBe(2);
  expect(await arrived(request, email, SUBJECT, 'From the valley.')).toHaveLength(1);
});

test('where something has changed meanwhile the letter waits for its writer, and says why', async ({
  page,
  request,
  context,
}, { project }) => {
  const client = of(project.name).changed;
  const [before] = await ask<{ email: string; preferred_name: string | null }>(
    'select email, preferred_name from client where key = $1',
    [client],
  );
  const letter = await writeOffline(page, context, client, 'As it was.');
  await ask('update client set preferred_name = $2 where key = $1', [client, 'Robin']);
  try {
    await context.setOffline(false);
    await expect(letter.getByRole('alert')).toContainText('It has not been sent: something changed');
    await expect(letter.getByRole('alert')).toContainText('Robin');
    await page.goto('/today');
    const told = page.getByRole('status').filter({ hasText: 'has not gone: something is in its way' });
    await told.getByRole('link', { name: 'Look at it' }).click();
    await letter.getByRole('button', { name: 'Bring the letter up to date' }).click();
    await expect(await editable(page)).toContainText('Hello Robin');
    await expect(await editable(page)).toContainText('As it was.');
    await stetAll(letter);
    await sendButton(letter).click();
    await expect(letter.getByText(/^(?:Going|Sent)/)).toBeVisible();
    expect(await arrived(request, before!.email, SUBJECT, 'As it was.')).toHaveLength(1);
  } finally {
    await ask('update client set preferred_name = $2 where key = $1', [client, before!.preferred_name]);
  }
});

test('what is kept goes after its time, with signing out, and is nobody else’s', async ({
  page,
  context,
}) => {
  await openToday(page);
  await expectKept(page, '/today');
  // Time passes: what was kept is eight days old.
  await page.evaluate(async () => {
    const cache = await caches.open('fair-quill-seen');
    const answer = (await cache.match('/today'))!;
    const headers = new Headers(answer.headers);
    headers.set('x-kept-at', String(Date.now() - 8 * 86_400_000));
    await cache.put('/today', new Response(await answer.text(), { headers }));
  });
  await context.setOffline(true);
  await page.goto('/today', { waitUntil: 'commit' });
  await expect(page).toHaveTitle('No connection · Fair Quill');
  await context.setOffline(false);
  await page.goto('/clients');
  await expectKept(page, '/clients');
  expect(await kept(page)).not.toContain('/today');

  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
  expect(await kept(page)).toEqual([]);

  // Somebody whose session went on without the page of signing in has none of the pages of whoever was there before.
  await signIn(page, 'imke@larkfield.example', 'larkfield-imke');
  await page.goto('/clients');
  await expectKept(page, '/clients');
  await signIn(page, 'runa@larkfield.example', 'larkfield-runa');
  await page.goto('/today');
  await expectKept(page, '/today');
  expect(await kept(page)).not.toContain('/clients');
});
