import { statSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';

test('everything is taken out as one file', async ({ page }) => {
  await signIn(page);
  await page.goto('/settings/take-out');
  await expectAccessible(page);
  const coming = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Take everything out' }).click();
  const file = await coming;
  expect(file.suggestedFilename()).toMatch(/^larkfield-piano-care-\d{4}-\d\d-\d\d\.zip$/);
  expect(statSync(await file.path()).size).toBeGreaterThan(50_000);
});

test('a calendar can be subscribed to while its owner wants it', async ({ page, request }, { project }) => {
  // Each has an address of their own: the two sizes run beside each other.
  const who = project.name.startsWith('phone') ? 'teo' : 'imke';
  await signIn(page, `${who}@larkfield.example`, `larkfield-${who}`);
  await page.goto('/settings/take-out');
  await page.getByRole('button', { name: 'Make an address' }).click();
  const address = page.locator('.feed-address');
  await expect(address).toHaveText(/\/calendar\/[\w-]{32}\.ics$/);
  await expectAccessible(page);
  const first = (await address.textContent())!;
  const calendar = await request.get(first);
  expect(calendar.headers()['content-type']).toBe('text/calendar; charset=utf-8');
  expect(await calendar.text()).toMatch(/^BEGIN:VCALENDAR[\s\S]*SUMMARY:tuning visit\\, /);
  await page.getByRole('button', { name: 'Another address' }).click();
  await expect(address).not.toHaveText(first);
  expect((await request.get(first)).status()).toBe(404);
  const second = (await address.textContent())!;
  await page.getByRole('button', { name: 'No address any more' }).click();
  await expect(address).toBeHidden();
  expect((await request.get(second)).status()).toBe(404);
});

test('somebody who is invited makes a business of their own, once', async ({ page, browser }, {
  project,
}) => {
  await signIn(page);
  await page.goto('/settings/invite');
  await page.getByRole('button', { name: 'Make an invitation' }).click();
  const address = (await page.locator('.feed-address').textContent())!;
  await expectAccessible(page);
  const context = await browser.newContext({ viewport: page.viewportSize()! });
  const theirs = await context.newPage();
  await theirs.goto(address);
  await expect(theirs.getByText(/^You are invited\./)).toBeVisible();
  await theirs.getByLabel('Your business is called').fill(`Rowan Boats ${project.name}`);
  await theirs.getByLabel('Your name').fill('Rowan Marsh');
  await theirs.getByLabel('Your email address').fill('imke@larkfield.example');
  await theirs.getByLabel('A password').fill('a few good words');
  await theirs.getByRole('button', { name: 'Make my business' }).click();
  await expect(
    theirs.getByText('Somebody signs in with this address here already. Take another.'),
  ).toBeVisible();
  await theirs.getByLabel('Your email address').fill(`rowan.${project.name}@boats.example`);
  await theirs.getByRole('button', { name: 'Make my business' }).click();
  await expect(theirs.getByRole('heading', { name: 'Your business' })).toBeVisible();
  // Nothing of the other's is there.
  await theirs.goto('/clients');
  await expect(theirs.getByText('0 in all')).toBeVisible();
  await context.clearCookies();
  await theirs.goto(address);
  await expect(theirs.getByText('This invitation was used, or is too old. Ask for another.')).toBeVisible();
  await context.close();
});

test('a logo is chosen, seen and taken out again', async ({ page }, { project }) => {
  test.skip(project.name.startsWith('phone'), 'What there is once is kept by one size.');
  await signIn(page);
  await page.goto('/settings/details');
  const before = await page.getByRole('img', { name: 'Your logo' }).getAttribute('src');
  const png =
    'iVBORw0KGgoAAAANSUhEUgAAAFAAAAAoCAIAAADmAupWAAAACXBIWXMAAAPoAAAD6AG1e1JrAAAAfElEQVRoge3XwQ3AQAgDQfq5nraB9P9PEVHE40aiALDBNnOerqpZ78DAYTgrnRuOaEWl2dLZNknBI0kr0TJZOs9DvqVn3zDYUn9AMOuQY7hfIZh1yDEchrPSueGIVlSaLZ0LatY7MHAYzkrnhiNaUWm2dLZNUvBI0uojBC+VjOqmgdME2QAAAABJRU5ErkJggg==';
  const choose = (buffer: Buffer) =>
    page
      .getByLabel('Logo', { exact: true })
      .setInputFiles({ name: 'logo.png', mimeType: 'image/png', buffer });
  await choose(Buffer.from(png, 'base64'));
  await expect(page.getByRole('img', { name: 'Your logo' })).not.toHaveAttribute('src', before!);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('img', { name: 'Your logo' })).not.toHaveAttribute('src', before!);
  // Taken out, the letterhead has none; with the former one it is as it was.
  const former = await (await page.request.get(before!)).body();
  await page.getByRole('button', { name: 'No picture' }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Choose a picture' })).toBeVisible();
  await choose(former);
  await expect(page.getByRole('img', { name: 'Your logo' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
});
