import { expect, test } from '@playwright/test';
import { expectAccessible, signIn, TODAY } from './signedIn';

test('signing in leads to where one wanted to go, signing out ends it', async ({ page }) => {
  await page.goto('/templates/visit-confirmed');
  await expect(page).toHaveURL(/\/sign-in\?to=/);
  await expect(page).toHaveTitle('Sign in · Fair Quill');
  await expectAccessible(page);
  await page.getByLabel('Email address').fill('imke@larkfield.example');
  await page.getByLabel('Password').fill('larkfield-imke');
  await page.getByLabel('Password').press('Enter');
  await expect(page.getByRole('heading', { name: 'Visit confirmed', exact: true })).toBeVisible();
  // Pressed before the page listens, it goes nowhere; pressed once it listens, it is gone.
  const signOut = page.getByRole('button', { name: 'Sign out' });
  await expect(async () => {
    if (await signOut.isVisible()) await signOut.click({ timeout: 3000 });
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible({ timeout: 3000 });
  }).toPass();
  await page.goto('/templates');
  await expect(page).toHaveURL(/\/sign-in/);
});

test('what is wrong is said at the field, and what was typed stays', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Write your email address.' })).toBeVisible();
  await expect(page.getByLabel('Email address')).toBeFocused();
  await page.getByLabel('Email address').fill('runa@larkfield.example');
  await page.getByLabel('Password').fill('guess');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('The address or the password is wrong.')).toBeVisible();
  await expect(page.getByLabel('Email address')).toHaveValue('runa@larkfield.example');
  await expect(page.getByLabel('Password')).toBeFocused();
  await expectAccessible(page);
});

test('without a connection nothing is lost', async ({ page, context }) => {
  await page.goto('/sign-in');
  await page.getByLabel('Email address').fill('imke@larkfield.example');
  await page.getByLabel('Password').fill('larkfield-imke');
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('There is no connection to the server. Try again in a moment.')).toBeVisible();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: TODAY })).toBeVisible();
});

test('nobody is led to another site by signing in', async ({ page, baseURL }) => {
  for (const to of ['//elsewhere.example/', 'https://elsewhere.example/', '/\\elsewhere.example']) {
    await page.goto(`/sign-in?to=${encodeURIComponent(to)}`);
    await page.getByLabel('Email address').fill('imke@larkfield.example');
    await page.getByLabel('Password').fill('larkfield-imke');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('heading', { name: TODAY })).toBeVisible();
    expect(page.url()).toContain(baseURL);
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  }
});

test('nothing is sent before the page listens, and what was typed stays', async ({ page }) => {
  let listen: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (listen = resolve));
  await page.route('**/_next/static/**/*.js', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto('/sign-in', { waitUntil: 'commit' });
  const button = page.getByRole('button', { name: 'Sign in', exact: true });
  await expect(button).toBeDisabled();
  await page.getByLabel('Email address').fill('imke@larkfield.example');
  await page.getByLabel('Password').fill('larkfield-imke');
  await page.keyboard.press('Enter');
  listen();
  await button.click();
  await expect(page).toHaveURL(/\/today$/);
});

test('another site can neither sign in nor out', async ({ page, request }) => {
  const headers = { origin: 'https://elsewhere.example' };
  const data = { email: 'imke@larkfield.example', password: 'larkfield-imke' };
  expect((await request.post('/api/session', { headers, data })).status()).toBe(403);
  await signIn(page);
  expect((await page.request.delete('/api/session', { headers })).status()).toBe(403);
  await page.goto('/templates');
  await expect(page.getByRole('heading', { name: 'Templates', exact: true })).toBeVisible();
});

test('in a demonstration a member is one press away', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Teo Marsh' }).click();
  await expect(page.getByRole('heading', { name: TODAY })).toBeVisible();
});

test('our fonts come after the first page can be used, and with every page after it', async ({ page }) => {
  const askedFor: string[] = [];
  page.on('request', (request) => request.resourceType() === 'font' && askedFor.push(request.url()));
  let letGo = () => {};
  const held = new Promise<void>((go) => (letGo = go));
  await page.route('**/*.js', async (route) => (await held, route.continue()));
  const first = await page.goto('/sign-in', { waitUntil: 'commit' });
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  expect(await first!.text()).toContain('<html lang="en-GB"><head>');
  expect(askedFor).toEqual([]);
  letGo();
  await expect.poll(() => page.evaluate(() => document.fonts.check('16px "Literata Variable"'))).toBe(true);
  await expect.poll(async () => (await page.context().cookies()).map(({ name }) => name)).toContain('fonts');
  expect(await (await page.goto('/sign-in'))!.text()).toContain('<html lang="en-GB" data-fonts="">');
});
