import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { compileTemplate } from '../src/core/fill/compileTemplate';
import { fillTemplate } from '../src/core/fill/fillTemplate';
import { RecordBook } from '../src/core/records/recordBook';
import { schemaOf } from '../src/core/records/schema';
import { situationFrom } from '../src/core/records/which/situation';
import { readDemonstration } from '../src/data/demonstration/readDemonstration';
import { expectAccessible, signIn } from './signedIn';
import { editable, openNote } from './writing';

test('a template and a letter show their picture, heading, list and button', async ({ page }, {
  project,
}) => {
  await signIn(page);
  // None of the demonstration's has a picture. At the other size it may be there or not.
  if (project.name === 'desk') await withLogo(page);
  await page.goto('/templates/looking-after-it');
  await expect(page.getByRole('tabpanel').getByText('All of it on one page')).toHaveClass(/letter-button/);
  await expectAccessible(page);
  await page.goto('/write?from=booking:b01&template=looking-after-it');
  const text = await editable(page);
  if (project.name === 'desk') {
    const logo = text.getByRole('img', { name: 'Larkfield Piano Care' });
    await expect(logo).toBeVisible();
    expect(await logo.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(100);
  }
  await expect(text.locator('.letter-heading')).toHaveText('What you can do');
  await expect(text.getByRole('listitem')).toHaveCount(3);
  await expect(text.locator('.letter-button')).toHaveText('All of it on one page');
  await expectAccessible(page);
});

const DEMONSTRATION = path.resolve(import.meta.dirname, '../src/data/demonstration');

/** Keeps the words of a template with the logo above them. */
async function withLogo(page: Page): Promise<void> {
  const words = await readFile(path.join(DEMONSTRATION, 'templates/afterwards-looking-after-it.md'), 'utf8');
  const answer = await page.request.post('/api/templates/looking-after-it', {
    data: { version: 1, text: words.replace('\nHello', '\n{{business.logo | width 180}}\n\nHello') },
    headers: { origin: process.env.BASE_URL! },
  });
  // The test may have been tried before.
  expect([200, 409]).toContain(answer.status());
}

test('a listing is a table, bullets or words, and says something else when it is empty', async ({ page }) => {
  await signIn(page);
  await page.goto('/write?from=invoice:LPC-1053&template=payment-plan');
  let text = await editable(page);
  await expect(text.getByRole('row')).toHaveCount(5);
  await expect(text.getByRole('row').nth(2)).toHaveText(/30 November 2026.*£2,000.*£1,400/s);
  await page.goto('/write?from=invoice:LPC-1048&template=payment-plan');
  text = await editable(page);
  await expect(text.getByRole('table')).toHaveCount(0);
  await expect(text).toContainText('in parts, if that is easier.');
});

test('an answer can be changed where it stands, whatever its kind', async ({ page }) => {
  await signIn(page);
  await page.goto('/write?from=enquiry:e1&template=free-days');
  const text = await editable(page);
  const choice = await openNote(page, 'Part of the day', 'in the morning');
  await choice.getByRole('combobox', { name: 'Part of the day' }).selectOption('the whole day');
  await choice.getByRole('button', { name: 'Change the answer' }).click();
  await expect(text).toContainText('still free, the whole day:');
  const price = await openNote(page, 'Price', '£78');
  const sum = price.getByRole('textbox', { name: 'Price' });
  await expect(sum).toHaveValue('78.00');
  await sum.fill('a lot');
  await sum.press('Enter');
  await expect(price.getByRole('alert')).toHaveText('Write a sum, as 65 or 65.00.');
  await expectAccessible(page);
  await sum.fill('95.50');
  await sum.press('Enter');
  await expect(text).toContainText('costs £95.50.');
  await page.goto('/write?from=booking:b-quayarts&template=concert-tuning');
  const quiet = await openNote(
    page,
    'Quiet from the start',
    'The room should be quiet all that time, please.',
  );
  await quiet.getByRole('combobox', { name: 'Quiet from the start' }).selectOption('no');
  await quiet.getByRole('button', { name: 'Change the answer' }).click();
  await expect(await editable(page)).toContainText('The last half hour should be quiet, please.');
});

test('the HTML of every template fits a phone, and is read by day and by night', async ({ page }) => {
  const now = Date.parse('2026-11-25T09:00:00Z');
  const { records, templates, passages } = await readDemonstration(DEMONSTRATION, now);
  const starts = {
    client: 'college',
    enquiry: 'e1',
    project: 'reyes-restoration',
    booking: 'b-quayarts',
    invoice: 'LPC-1053',
  };
  const book = new RecordBook(records, now);
  const context = {
    schema: schemaOf(records),
    passages: new Map(
      passages.map((passage) => [passage.name, { passage, places: new WeakMap<object, never>() }]),
    ),
  };
  expect(templates).toHaveLength(26);
  const letters = templates.map((template) => {
    const kind = template.head.startsFrom;
    const situation = situationFrom(book, { kind, key: starts[kind] }, { sender: records.members![0]! })!;
    const { html } = fillTemplate(compileTemplate(template, context).compiled!, situation);
    return `<article aria-label="${template.head.name}">${html}</article>`;
  });
  for (const [ground, words] of [
    ['#ffffff', '#111111'],
    ['#000000', '#eeeeee'],
  ]) {
    await page.setContent(
      `<html lang="en-GB"><meta name="viewport" content="width=device-width"><title>Letters</title><body style="margin:8px;background:${ground};color:${words}">${letters.join('')}</body></html>`,
    );
    await page.addStyleTag({ content: 'a:not([style]) { color: inherit }' });
    const wide = await page.evaluate(() =>
      [...document.querySelectorAll('article')]
        .filter((letter) => letter.scrollWidth > document.documentElement.clientWidth)
        .map((letter) => letter.ariaLabel),
    );
    expect(wide).toEqual([]);
    const { violations } = await new AxeBuilder({ page }).withRules(['color-contrast']).analyze();
    expect(violations).toEqual([]);
  }
});
