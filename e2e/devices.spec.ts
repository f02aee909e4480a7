import { expect, test, type Browser, type Page } from '@playwright/test';
import { ask } from './database';
import { expectAccessible, signInOnDevice } from './signedIn';
import { arrived, editable, sendButton, stetAll, typeBehind } from './writing';

/** Clients of its own for each size and test. */
const CLIENTS = {
  desk: { goesOn: ['calder', 'post@calder.example'], both: 'barrow', thrown: 'ashdown' },
  phone: { goesOn: ['teague', 'teague@post.example'], both: 'jerome', thrown: 'pemberton' },
} as const;
const of = (name: string) => CLIENTS[name as keyof typeof CLIENTS];

const SUBJECT = 'Where your account stands on 25 November 2026';

const letterOf = (page: Page) => page.getByRole('article', { name: /^Letter to/ });

/** Another device of the same member. */
async function device(browser: Browser, options: object): Promise<Page> {
  const page = await (await browser.newContext(options)).newPage();
  await signInOnDevice(page);
  return page;
}

async function begin(page: Page, client: string) {
  await page.goto(`/write?from=client:${client}&template=statement-of-account`);
  await editable(page);
  return letterOf(page);
}

/** Waits until the server has a letter to a client with some words. */
async function given(client: string, words: string) {
  const sql = 'select 1 from draft where starting_key = $1 and letter::text like $2';
  await expect.poll(async () => (await ask(sql, [client, `%${words}%`])).length).toBe(1);
}

// The other devices are put away.
test.afterEach(async ({ browser, context }) => {
  for (const one of browser.contexts()) if (one !== context) await one.close();
});

test('a letter that was begun on one device goes on on another, and is sent once', async ({
  page,
  browser,
  request,
}, { project }) => {
  const [client, address] = of(project.name).goesOn;
  await signInOnDevice(page);
  await begin(page, client);
  await typeBehind(page, 'Hello', ' Begun in the van.');
  await given(client, 'Begun in the van.');

  const other = await device(browser, project.use);
  await other.goto('/post');
  const begun = other.getByRole('region', { name: 'Begun and not sent' });
  await expect(begun).toBeVisible();
  await expectAccessible(other);
  await begun
    .getByRole('listitem')
    .filter({ has: other.locator(`a[href*="${client}"]`) })
    .getByRole('link')
    .click();
  await expect(await editable(other)).toContainText('Begun in the van.');
  await typeBehind(other, 'Begun in the van.', ' Ended at the desk.');
  await stetAll(letterOf(other));
  await sendButton(letterOf(other)).click();
  await expect(letterOf(other).getByText(/Going\.|Sent\./)).toBeVisible();

  // The first device has a new letter when it comes back.
  await page.reload();
  await expect(await editable(page)).not.toContainText('Begun in the van.');
  const [received, ...more] = await arrived(request, address, SUBJECT, 'Ended at the desk.');
  expect(received!.text).toContain('Begun in the van. Ended at the desk.');
  expect(more).toEqual([]);
});

test('of two devices with one letter the later is told, and chooses which stands', async ({ page, browser }, {
  project,
}) => {
  const client = of(project.name).both;
  await signInOnDevice(page);
  await begin(page, client);
  await typeBehind(page, 'Hello', ' First of all.');
  await given(client, 'First of all.');
  const other = await device(browser, project.use);
  await begin(other, client);
  await expect(await editable(other)).toContainText('First of all.');
  await typeBehind(other, 'First of all.', ' From there.');
  await given(client, 'From there.');
  await typeBehind(page, 'First of all.', ' From here.');
  const told = page.getByRole('alert').filter({ hasText: 'has been changed on another device' });
  await expect(told).toBeVisible();
  await told.getByRole('button', { name: 'Keep what stands here' }).click();
  await expect(told).toHaveCount(0);
  await given(client, 'From here.');
  await typeBehind(other, 'From there.', ' Still.');
  const toldThere = other.getByRole('alert').filter({ hasText: 'has been changed on another device' });
  await toldThere.getByRole('button', { name: 'Take what stands there' }).click();
  await expect(await editable(other)).toContainText('From here.');
  await expect(await editable(other)).not.toContainText('From there.');
});

test('a letter that is thrown away on one device is gone on the others, and signing out keeps it', async ({
  page,
  browser,
}, { project }) => {
  const client = of(project.name).thrown;
  await signInOnDevice(page);
  await begin(page, client);
  await typeBehind(page, 'Hello', ' To be kept.');
  await page.waitForTimeout(600);
  // It is given to the server before the device is cleared: nothing is asked.
  await page.goto('/today');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
  await given(client, 'To be kept.');
  await signInOnDevice(page);
  await begin(page, client);
  await expect(await editable(page)).toContainText('To be kept.');

  const other = await device(browser, project.use);
  await other.goto('/post');
  await other
    .getByRole('listitem')
    .filter({ has: other.locator(`a[href*="${client}"]`) })
    .getByRole('button', { name: /^Throw away/ })
    .click();
  await expect
    .poll(async () => (await ask('select 1 from draft where starting_key = $1', [client])).length)
    .toBe(0);
  await other.goto('/post');
  await expect(other.locator(`.begun-here a[href*="${client}"]`)).toHaveCount(0);
});
