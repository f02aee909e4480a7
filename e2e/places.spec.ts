import { expect, test } from '@playwright/test';
import { expectAccessible, openToday, signIn } from './signedIn';
import { editable } from './writing';

test('a client is found, read, and written to', async ({ page }) => {
  await openToday(page);
  await page.getByRole('link', { name: 'Clients', exact: true }).click();
  await expect(page).toHaveTitle('Clients · Fair Quill');
  await expect(page.getByRole('link', { name: /Ada and Tom Reyes/ })).toBeVisible();
  await expectAccessible(page);
  const search = page.getByRole('searchbox', { name: 'Find a client' });
  await search.fill('brandreth');
  await expect(page.getByRole('status').filter({ hasText: '1 found' })).toBeVisible();
  await search.press('ArrowDown');
  const found = page.getByRole('link', { name: /Thornholt College/ });
  await expect(found).toBeFocused();
  await page.keyboard.press('Enter');
  const record = page.getByRole('article', { name: 'Thornholt College' });
  await expect(record).toContainText('the porter’s lodge');
  await expect(record.getByRole('region', { name: 'People' })).toContainText('accounts office');
  await expect(record.getByRole('heading', { name: 'Instruments' })).toBeVisible();
  await expect(page).toHaveTitle('Thornholt College · Fair Quill');
  await expectAccessible(page);
  await record.getByRole('link', { name: 'Write', exact: true }).click();
  await expect(page).toHaveTitle('Write to Thornholt College · Fair Quill');
  await expect(page.getByRole('article', { name: 'Letter to Thornholt College' })).toContainText(
    'Hello Farah,',
  );
  await expectAccessible(page);
});

test('work stands in lists of its kinds, each leading to its page', async ({ page, isMobile }) => {
  await openToday(page);
  await page.getByRole('link', { name: 'Work', exact: true }).click();
  await expect(page).toHaveTitle('Visits · Fair Quill');
  for (const [kind, entry, fact] of [
    ['Visits', /Oda Hartigan.*tuning visit/, 'Who comes'],
    ['Invoices', /LPC-1034, Joost van der Meulen.*63 days overdue/, 'Still open'],
    ['Projects', /Restoration|restoration/, 'Looked after by'],
    ['Enquiries', /Bram Tolliver/, 'Days asked for'],
  ] as const) {
    await page.getByRole('navigation', { name: 'Kinds of work' }).getByRole('link', { name: kind }).click();
    await expect(page.getByRole('searchbox')).toBeVisible();
    await page.getByRole('link', { name: entry }).first().click();
    const record = page.getByRole('article').first();
    await expect(record).toContainText(fact);
    await expect(record.getByRole('link', { name: 'Write', exact: true })).toBeVisible();
    await expectAccessible(page);
    if (isMobile) await record.getByRole('link', { name: kind, exact: true }).click();
  }
});

test('post shows what went, came back and came in', async ({ page }) => {
  await openToday(page);
  await page.getByRole('link', { name: 'Post', exact: true }).click();
  await expect(page).toHaveTitle('Post · Fair Quill');
  await expectAccessible(page);
  const search = page.getByRole('searchbox', { name: 'Find a letter by its words' });
  await search.fill('bounced');
  await expect(page.getByRole('link', { name: /bounced/ }).first()).toBeVisible();
  await search.press('Enter');
  await expect(page.getByRole('complementary', { name: 'What became of it' })).toContainText('bounced');
  await expectAccessible(page);
});

test('the templates for a letter: those that fit with why, the others folded, all searched', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/write?from=invoice:LPC-1034');
  await editable(page);
  const another = page.getByRole('button', { name: 'Another template' });
  if (await another.isVisible()) await another.click();
  const fitting = page.getByRole('region', { name: 'Fitting' });
  await expect(fitting.getByRole('button').first()).toContainText(/Second reminder/);
  await expect(fitting).toContainText('63 days overdue');
  await expect(page.getByRole('button', { name: /Short note/ })).toHaveCount(0);
  await page.getByText('Everyday').click();
  await expect(page.getByRole('button', { name: /Short note/ })).toBeVisible();
  const search = page.getByRole('searchbox', { name: 'Find a template' });
  await search.fill('stands account');
  await expect(page.getByRole('button', { name: /Statement of account/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /Short note/ })).toHaveCount(0);
  await search.fill('no such words');
  await expect(page.getByText('No template has these words.')).toBeVisible();
});

test('what is not there says so, on every place', async ({ page }) => {
  await signIn(page);
  for (const [path, words] of [
    ['/clients/nobody', 'There is no such client'],
    ['/work/invoices/LPC-9999', 'There is no such record'],
    ['/post/7', 'There is no such letter'],
    ['/post/00000000-0000-4000-8000-000000000000', 'There is no such letter'],
    ['/write?from=invoice:LPC-9999', 'There is no such record'],
    ['/write?from=nothing', 'There is nothing here'],
    ['/work/nothing', 'There is nothing here'],
  ] as const) {
    await page.goto(path);
    await expect(page.getByText(words)).toBeVisible();
  }
  await expectAccessible(page);
});

test('nothing to press is smaller than 24 px', async ({ page }) => {
  await signIn(page);
  for (const path of [
    ...[
      '/today',
      '/clients',
      '/clients/hartigan',
      '/clients/nobody',
      '/work/bookings',
      '/work/invoices/LPC-1048',
    ],
    ...['/templates', '/templates/first-reminder', '/post', '/write?from=invoice:LPC-1048'],
  ]) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
    // In its own letters: those that stand in until they are there are wider.
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    const small = await page.evaluate(() =>
      [...document.querySelectorAll('a, button, select, input, summary, [role="button"]')]
        .filter((one) => one.checkVisibility() && !one.classList.contains('skip'))
        .filter((one) => {
          const { width, height } = one.getBoundingClientRect();
          return Math.min(width, height) > 0 && Math.min(width, height) < 23.9;
        })
        .map((one) => one.outerHTML.slice(0, 120)),
    );
    expect(small, path).toEqual([]);
  }
});

test('the help is opened by a press, too, and speaks of the page', async ({ page }) => {
  await signIn(page);
  await page.goto('/templates/short-note');
  await page.getByRole('button', { name: 'Help', exact: true }).click();
  const sheet = page.getByRole('dialog', { name: 'Writing a template' });
  await expect(sheet).toContainText('Its form');
  await expectAccessible(page);
  await sheet.getByRole('button', { name: 'Close' }).click();
  await page.goto('/templates');
  await page.getByRole('button', { name: 'Help', exact: true }).click();
  await expect(page.getByRole('dialog', { name: 'Templates' })).toContainText('Acts');
});

test('the help says what the page is, and the keys; the slash searches', async ({ page, isMobile }) => {
  test.skip(isMobile, 'A phone has no keys.');
  await openToday(page);
  const sheet = page.getByRole('dialog', { name: 'Today' });
  // A key pressed before the page listens goes nowhere.
  await expect(async () => {
    await page.keyboard.press('?');
    await expect(sheet).toContainText('Send the letter', { timeout: 1000 });
  }).toPass();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
  await page.goto('/clients');
  await page.getByRole('heading', { name: 'Clients' }).click();
  await expect(async () => {
    await page.keyboard.press('/');
    await expect(page.getByRole('searchbox', { name: 'Find a client' })).toBeFocused({ timeout: 1000 });
  }).toPass();
});
