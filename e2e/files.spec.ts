import { createHash } from 'node:crypto';
import { expect, test, type Page } from '@playwright/test';
import { open, own, textOf } from './pencilPage';
import { expectAccessible } from './signedIn';
import { textIn, wordsOf, writeIn } from './words';
import { arrived, stetAll } from './writing';

const head = (page: Page) => page.getByRole('group', { name: 'Goes along' });

async function choose(page: Page, name: string, content: string | Buffer): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await head(page).getByRole('button', { name: 'Bring in a file' }).click();
  await (await chooser).setFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(content) });
}

test('a file is brought in once, named by the template, and goes along with the letter', async ({ page }) => {
  test.slow();
  const prices = `${own('Prices')}.txt`;
  await open(page, 'With a file', 'client');
  await page.locator('.template-head summary').click();
  const told = head(page).getByRole('list', { name: 'Files on their way' });

  await choose(page, 'setup.exe', 'MZ');
  await expect(told).toContainText('Mail servers turn letters away that have a file ending in “.exe”.');
  await told.getByRole('button', { name: 'Leave it' }).click();
  await choose(page, 'Film.mov', Buffer.alloc(16_000_000));
  await expect(told).toContainText('It has 16 MB. A letter has at most 15 MB with it.');
  await told.getByRole('button', { name: 'Leave it' }).click();
  await page.route('**/api/files?**', (route) => route.abort());
  await choose(page, prices, 'Tuning 78');
  await expect(told).toContainText('There is no connection. It has not been brought in.');
  await expectAccessible(page);
  await page.unroute('**/api/files?**');
  await told.getByRole('button', { name: 'Try again' }).click();
  await expect(head(page).getByRole('link', { name: prices })).toBeVisible();
  await expect(told).toBeHidden();

  // A large one arrives whole.
  const large = `${own('Large')}.txt`;
  await choose(page, large, Buffer.alloc(11_000_000, 'x'));
  await expect(head(page).getByText(`${large}, 11 MB`)).toBeVisible();
  await head(page)
    .getByRole('button', { name: `Leave out ${large}` })
    .click();

  // Another one of its name is not put over it, nor taken for it.
  await choose(page, prices, 'Tuning 85');
  await expect(told).toContainText(`There is another “${prices}”`);
  await told.getByRole('button', { name: 'Put this one in its place, in every template' }).click();
  await expect(told).toBeHidden();
  await head(page)
    .getByRole('button', { name: `Leave out ${prices}` })
    .click();
  await expect(head(page).getByRole('link')).toHaveCount(0);
  await head(page).getByLabel('One of the business’s files').selectOption(prices);
  const text = await textOf(page);
  expect(text).toContain(`attach: [${prices}]`);
  const words = wordsOf(page);
  await writeIn(words, text.replace('{{gap "what you want to say"}}', 'The prices are with this.'));
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByText('Kept as version 2.')).toBeVisible();

  const key = new URL(page.url()).pathname.split('/').pop()!;

  // A trial has it as well, and says what it lacks.
  await writeIn(words, (await textIn(words)).replace(`[${prices}]`, `[${prices}, invoice pdf, Nothing.txt]`));
  await page.getByRole('tab', { name: 'Ink' }).click();
  await page.getByRole('button', { name: 'Send a trial' }).click();
  const [trial] = await arrived(page.request, 'imke@larkfield.example', `Trial: ${own('With a file')}`);
  expect(trial!.attachments.map(({ name }) => name)).toEqual([expect.stringMatching(/\.pdf$/), prices]);
  expect(trial!.text.replace(/\s+/g, ' ')).toContain('Not with it: Nothing.txt.');

  await page.goto(`/write?from=client:hartigan&template=${key}`);
  const letter = page.getByRole('article', { name: /^Letter/ });
  await letter.getByRole('button', { name: `Leave out ${prices}` }).click();
  await letter.getByRole('button', { name: `Put back ${prices}` }).click();
  await expect(letter.getByText(`${prices}, 1 kB`)).toBeVisible();
  const download = page.waitForEvent('download');
  await letter.getByRole('link', { name: prices }).click();
  expect((await download).suggestedFilename()).toBe(prices);
  await expectAccessible(page);
  await stetAll(letter);
  await page.getByRole('button', { name: 'Send', exact: true }).click();
  const [received] = await arrived(page.request, 'oda@hartigan.example', own('With a file'));
  expect(received!.attachments).toEqual([
    { name: prices, size: 9, sha256: createHash('sha256').update('Tuning 85').digest('hex') },
  ]);
});
