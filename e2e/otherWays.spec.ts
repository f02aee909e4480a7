import { readFile } from 'node:fs/promises';
import { simpleParser } from 'mailparser';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { editable, expectReady, expectWaiting, mailboxOf, stetAll, typeBehind } from './writing';

/** A client of its own for each size. */
const CLIENTS = {
  desk: { booking: 'b78', address: 'kowal@post.example', client: 'kowal' },
  phone: { booking: 'b77', address: 'nakagawa@post.example', client: 'nakagawa' },
} as const;

const ways = (page: Page) => page.locator('.other-ways:not(.send-later)');

test('a letter goes another way: copied, as a file, and noted with the client, and never from here', async ({
  page,
  context,
  request,
}, { project }) => {
  const { booking, address, client } = CLIENTS[project.name as 'desk'];
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await signIn(page);
  await page.goto(`/write?from=booking:${booking}&template=visit-confirmed`);
  await editable(page);
  // What the proof says comes first.
  await typeBehind(page, 'Hello', ' Ask [name].');
  await expectWaiting(page.locator('#page'), '1 query');
  await ways(page).getByText('Another way', { exact: true }).click();
  await expect(ways(page)).toContainText('What the proof says comes first.');
  await stetAll(page.locator('#page'));
  await expectReady(page.locator('#page'));
  await expectAccessible(page);

  await ways(page).getByRole('button', { name: 'Copy the letter' }).click();
  await expect(ways(page).getByRole('status')).toHaveText('Copied.');
  const html = await page.evaluate(async () => {
    const [item] = await navigator.clipboard.read();
    return (await item!.getType('text/html')).text();
  });
  expect(html).toContain('this is to confirm');
  expect(html).not.toContain('/api/pictures');
  await ways(page).getByRole('button', { name: 'Copy it without formatting' }).click();
  await expect.poll(() => page.evaluate(() => navigator.clipboard.readText())).toContain('Ask [name].');

  const download = page.waitForEvent('download');
  await ways(page).getByRole('button', { name: 'Save as a message file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toMatch(/\.eml$/);
  const mail = await simpleParser(await readFile((await file.path())!));
  expect(mail.text).toContain('Ask [name].');
  expect(mail.attachments.map(({ filename }) => filename).join()).toMatch(/\.ics$/);

  await ways(page).getByRole('button', { name: 'It went another way: note it' }).press('Enter');
  await expect(page.getByText('Noted: it went another way.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it back' })).toBeHidden();
  await page.goto(`/clients/${client}`);
  await expect(page.locator('#letters')).toContainText('Ask [name].');
  await expect(page.locator('#letters')).toContainText('It went another way, and is only noted here.');
  expect((await mailboxOf(request, address)).filter(({ text }) => text.includes('Ask [name].'))).toEqual([]);
});

test('how long a letter can be taken back is settled for the business', async ({ page }) => {
  await signIn(page);
  await page.goto('/settings');
  await page.getByRole('link', { name: /How letters go/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'How letters go' })).toBeVisible();
  await expectAccessible(page);
  const seconds = page.getByLabel('Seconds in which a letter can be taken back');
  // Others are taking letters back meanwhile: longer is no harm to them.
  await seconds.selectOption('20');
  await expect(page.getByRole('status').filter({ hasText: 'Settled for the business.' })).toBeVisible();
  await page.reload();
  await expect(seconds).toHaveValue('20');
  await seconds.selectOption('10');
  await expect(page.getByRole('status').filter({ hasText: 'Settled for the business.' })).toBeVisible();
});
