import { createHash, randomBytes } from 'node:crypto';
import { expect, test, type Page } from '@playwright/test';
import pg from 'pg';
import { expectAccessible } from './signedIn';

// A business of its own, with more clients than a page of its list holds.

const BUSINESS = '00000000-0000-4000-8000-00000000b003';
const CLIENTS = 250;
let token = '';

test.beforeAll(async () => {
  const client = new pg.Client({
    connectionString: process.env.DATABASE_URL,
    options: '-c fairquill.business=every',
  });
  await client.connect();
  await client.query(`insert into business (id, key, name, locale, time_zone, currency)
    values ('${BUSINESS}', 'long-list', 'A Long List', 'en-GB', 'Europe/London', 'GBP') on conflict do nothing`);
  await client.query(`insert into member (business_id, id, key, full_name, email, role, password_hash)
    values ('${BUSINESS}', '00000000-0000-4000-8000-00000000c003', 'reader', 'A Reader', 'reader@long.example', 'owner', 'none')
    on conflict do nothing`);
  await client.query(`insert into client (business_id, id, key, name, phone)
    select '${BUSINESS}', gen_random_uuid(), 'c' || n, 'Client ' || lpad(n::text, 3, '0'), '01632 9600' || n
    from generate_series(1, ${CLIENTS}) n on conflict do nothing`);
  token = randomBytes(32).toString('base64url');
  await client.query(
    `insert into session (business_id, id, member_id, token_hash, expires_at)
     values ($1, gen_random_uuid(), '00000000-0000-4000-8000-00000000c003', $2, now() + interval '1 hour')`,
    [BUSINESS, createHash('sha256').update(token).digest('hex')],
  );
  await client.end();
});

test.beforeEach(async ({ context }) => {
  await context.addCookies([{ name: 'fair-quill-session', value: token, url: process.env.BASE_URL! }]);
});

const rows = (page: Page) => page.locator('.index-rows');
const scrollToEnd = (page: Page) => rows(page).evaluate((list) => list.scrollTo(0, list.scrollHeight));

test('a long list scrolls on by itself, to its end', async ({ page }) => {
  await page.goto('/clients');
  await expect(page.getByText('100 so far, more below')).toBeVisible();
  await expectAccessible(page);
  for (let i = 0; i < 4; i++) {
    await scrollToEnd(page);
    await page.waitForTimeout(400);
  }
  await expect(page.getByText(`${CLIENTS} in all`)).toBeVisible();
  await scrollToEnd(page);
  await expect(page.getByRole('link', { name: `Client ${CLIENTS}` })).toBeVisible();
});

test('what follows is fetched again when the connection is back', async ({ page, context }) => {
  await page.goto('/clients');
  await expect(page.getByText('100 so far, more below')).toBeVisible();
  await context.setOffline(true);
  await scrollToEnd(page);
  const alert = page.getByRole('alert').filter({ hasText: 'What follows could not be fetched' });
  await expect(alert).toBeVisible();
  await context.setOffline(false);
  await alert.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText('200 so far, more below')).toBeVisible();
});

test('what the list has not fetched yet is found, and Enter opens it when it is', async ({ page }) => {
  await page.goto('/clients');
  const search = page.getByRole('searchbox', { name: 'Find a client' });
  // Pressed before the server can have answered.
  await search.pressSequentially('247', { delay: 0 });
  await search.press('Enter');
  await expect(page.getByRole('heading', { name: 'Client 247' })).toBeVisible();
  await page.goto('/clients');
  await search.fill('01632 9600248');
  await expect(page.getByText('1 found')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Client 248' })).toBeVisible();
  await search.fill('client');
  await expect(page.getByText('more than 100 found')).toBeVisible();
  await search.fill('nobody at all');
  await expect(page.getByText('Nothing has these words.')).toBeVisible();
});
