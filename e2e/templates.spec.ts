import { expect, test } from '@playwright/test';
import { expectAccessible, signIn, TODAY } from './signedIn';

const TEMPLATES = {
  Enquiries: ['Thank you for asking', 'That day is taken'],
  Visits: ['Visit confirmed', 'Visit coming up', 'We had to move your visit'],
  Workshop: ['How the work is going', 'Your instrument is with us'],
  Money: ['First reminder', 'Invoice enclosed', 'Statement of account'],
  Afterwards: ['Thank you, and a question'],
  Everyday: ['Short note'],
};

test('the templates stand under their groups', async ({ page }) => {
  await signIn(page);
  await page.goto('/templates');
  for (const [group, names] of Object.entries(TEMPLATES)) {
    const section = page.getByRole('group').filter({ hasText: group });
    for (const name of names) await expect(section.getByRole('link', { name })).toBeVisible();
  }
  await expectAccessible(page);
});

test('each is read as a letter in pencil', async ({ page, isMobile }) => {
  await signIn(page);
  await page.goto('/templates');
  for (const name of Object.values(TEMPLATES).flat()) {
    await page.getByRole('link', { name }).click();
    const letter = page.getByRole('article', { name });
    await expect(letter).toBeVisible();
    await expect(letter).toContainText('Signature of whoever writes');
    await expect(letter).not.toContainText('{{');
    await expect(page).toHaveTitle(`${name} · Fair Quill`);
    if (isMobile) await letter.getByRole('link', { name: 'Templates' }).click();
  }
});

test('a letter in pencil shows fields by what they are called, and what text depends on', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/templates');
  await page.getByRole('link', { name: 'Visit confirmed' }).click();
  const letter = page.getByRole('article', { name: 'Visit confirmed' });
  await expect(letter).toContainText('this is to confirm your service on start, long date at start, time.');
  await expect(letter).toContainText('For each of items');
  await expect(letter).toContainText('Only when price is set');
  await expect(letter).toContainText('Before we come · passage');
  await expectAccessible(page);
  await page.goto('/templates/statement-of-account');
  // Read before the editor has come, or in it.
  await expect(page.getByRole('article', { name: 'Statement of account' })).toContainText('Still open');
  await expectAccessible(page);
});

test('by keyboard alone: sign in, choose, read', async ({ page }) => {
  await page.goto('/sign-in');
  await page.keyboard.type('teo@larkfield.example');
  await page.keyboard.press('Tab');
  await page.keyboard.type('larkfield-teo');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: TODAY })).toBeVisible();
  await page.getByRole('link', { name: 'Templates', exact: true }).press('Enter');
  await expect(page.getByRole('heading', { name: 'Templates', exact: true })).toBeVisible();
  const link = page.getByRole('link', { name: 'Visit coming up' });
  for (
    let presses = 0;
    presses < 40 && !(await link.evaluate((node) => node === document.activeElement));
    presses++
  ) {
    await page.keyboard.press('Tab');
  }
  await expect(link).toBeFocused();
  expect(await link.evaluate((node) => getComputedStyle(node).outlineStyle)).toBe('solid');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('article', { name: 'Visit coming up' })).toBeVisible();
});

test('what is not there says so', async ({ page }) => {
  await signIn(page);
  await page.goto('/templates');
  await page.goto('/templates/no-such-thing');
  await expect(page.getByRole('heading', { name: 'There is no such template' })).toBeVisible();
  await page.goto('/no-such-place');
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  await expectAccessible(page);
});

test('the pages keep the strict policy: no script without its nonce, nothing from elsewhere', async ({
  page,
  request,
}) => {
  const broken: string[] = [];
  page.on('console', (message) => {
    if (/Content Security Policy/i.test(message.text())) broken.push(message.text());
  });
  page.on('pageerror', (error) => broken.push(error.message));
  await signIn(page);
  await page.goto('/templates');
  await page.getByRole('link', { name: 'First reminder' }).click();
  await expect(page.getByRole('article', { name: 'First reminder' })).toBeVisible();
  expect(broken).toEqual([]);
  const policies = await Promise.all(
    [1, 2].map(async () => (await request.get('/sign-in')).headers()['content-security-policy']!),
  );
  for (const policy of policies) {
    expect(policy).toContain("default-src 'self'");
    expect(policy).toMatch(/script-src 'self' 'nonce-[\w+/=]+' 'strict-dynamic';/);
    expect(policy).not.toContain('unsafe-eval');
  }
  expect(policies[0]).not.toBe(policies[1]);
});

test('the application says that it is well', async ({ request }) => {
  const answer = await request.get('/health');
  expect(answer.status()).toBe(200);
  expect(await answer.json()).toMatchObject({
    database: 'answers',
    worker: 'seen',
    waiting: expect.any(Number),
  });
});

test('the index is narrowed, and sorted by use', async ({ page }) => {
  await signIn(page);
  await page.goto('/templates');
  await page.getByLabel('In which order').selectOption('by use');
  await expect(page.getByRole('link', { name: 'Invoice enclosed' })).toContainText('letters, the last');
  // Other tests write letters meanwhile: the order is what the numbers say.
  const notes = await page.locator('.index .entry-note').allTextContents();
  const counts = notes.map((note) =>
    note === 'never used' ? 0 : note.startsWith('one') ? 1 : parseInt(note),
  );
  expect(counts).toEqual([...counts].sort((a, b) => b - a));
  expect(counts[0]).toBeGreaterThan(10);
  await page.getByLabel('Which are shown').selectOption('from an enquiry');
  await expect(page.getByRole('link', { name: 'Thank you for asking' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Invoice enclosed' })).toHaveCount(0);
  await expectAccessible(page);
});
