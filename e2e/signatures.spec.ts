import sharp from 'sharp';
import { expect, test } from '@playwright/test';
import { findField, note, open, own, pencil, putIn } from './pencilPage';
import { expectAccessible } from './signedIn';

test('a signature with a picture is written, and a template asks for it', async ({ page }) => {
  await open(page, 'Signed shortly', 'client');
  const template = page.url();
  await page.goto('/templates/signatures');
  await expect(page.getByRole('link', { name: /^House / })).toContainText('the house’s, the usual one');
  await page.getByRole('textbox', { name: 'A new signature' }).fill(own('On the road'));
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make it' }).click();
  const written = page.getByRole('textbox', { name: 'Signature' });
  await expect(written).toContainText(/sender, full name/i);
  await expectAccessible(page);
  await written.locator('p').last().click();
  await page.keyboard.press('Control+End');
  await page.keyboard.press('Enter');
  await page.keyboard.type('by ');
  await putIn(page, 'Smart field').click();
  await findField(page, 'member title', 'Sender, title');
  const chooser = page.waitForEvent('filechooser');
  await putIn(page, 'Picture').click();
  const buffer = await sharp({ create: { width: 120, height: 40, channels: 3, background: '#4b3f8f' } })
    .png()
    .toBuffer();
  await (await chooser).setFiles({ name: 'lark.png', mimeType: 'image/png', buffer });
  await note(page, 'Picture').getByLabel('What it shows').fill('The lark');
  await note(page, 'Picture').getByLabel('What it shows').press('Tab');
  await page.getByRole('button', { name: 'Keep this signature' }).click();
  await expect(page.getByText('Kept. Letters are signed so from now on.')).toBeVisible();

  // A template asks for it, and letters are signed with it.
  await page.goto(template);
  await expect(pencil(page)).toBeVisible();
  await page.locator('.template-head summary').click();
  await page.getByLabel('Signed with').selectOption({ label: `${own('On the road')} (a member’s own)` });
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByText('Kept as version 2.')).toBeVisible();
  await page.getByRole('tab', { name: 'Ink' }).click();
  const letter = page.locator('.letter-body.copy').last();
  await expect(letter).toContainText('Imke Sandoval');
  await expect(letter.getByRole('img', { name: 'The lark' })).toBeVisible();

  // It is called otherwise, and the template asks for it still; while one does, it cannot be removed.
  await page.goto('/templates/signatures');
  await page.getByRole('link', { name: own('On the road') }).click();
  await expect(page.getByText(/^Asked for by /)).toContainText(own('Signed shortly'));
  await expect(page.getByRole('button', { name: 'Remove it' })).toHaveCount(0);
  await page.getByLabel('Name', { exact: true }).fill(own('From the van'));
  await page.getByRole('button', { name: 'Keep this signature' }).click();
  await expect(page.getByText('Kept. Letters are signed so from now on.')).toBeVisible();
  await page.getByRole('link', { name: own('Signed shortly'), exact: true }).click();
  await page.locator('.template-head summary').click();
  await expect(page.getByLabel('Signed with')).toContainText(own('From the van'));
});

test('holes over all clients are counted while a template is written, and the next one is seen', async ({
  page,
}) => {
  const written = await open(page, 'Asks for a mobile', 'client');
  await expect(page.getByText(/^No fact is missing for any of the \d+ clients it fits\.$/)).toBeVisible();
  await written.getByText('what you want to say').click();
  await note(page, 'Gap').getByRole('button', { name: 'A field here' }).click();
  await findField(page, 'mobile', 'Client, mobile');
  const holes = page.getByRole('region', { name: 'Holes over all clients' });
  await expect(holes).toContainText(/Client mobile: missing for \d+ of \d+ clients/);
  await holes.locator('summary').click();
  const first = holes.getByRole('listitem').first();
  await expect(first).toContainText('has no mobile.');
  await expectAccessible(page);
  const names = await holes.getByRole('listitem').getByRole('link').allTextContents();
  await page.getByRole('button', { name: 'The next one with a hole' }).click();
  await expect(page.getByRole('combobox', { name: 'Record' }).locator('option:checked')).toHaveText(
    new RegExp(`^(?:${names.map((name) => name.replace(/[()'’]/g, '.')).join('|')})`),
  );
  await page.getByRole('tab', { name: 'Ink' }).click();
  await expect(page.locator('.letter-body.copy').last()).toContainText('client mobile');
  await first.getByRole('link').click();
  await expect(page).toHaveURL(/\/clients\//);
});

test('the house’s letterhead stands around a letter, and not where its template wants none', async ({
  page,
}) => {
  await open(page, 'On headed paper', 'client');
  const template = page.url();
  const part = test.info().project.name === 'desk-later' ? 'top' : 'foot';
  await page.goto(`/templates/letterhead/${part}`);
  const written = page.getByRole('textbox', { name: 'Letterhead' });
  await written.click();
  await page.keyboard.type('Pianos since ');
  await putIn(page, 'Smart field').click();
  await findField(page, 'business name', 'Business, name');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep this letterhead' }).click();
  await expect(page.getByText('Kept. It stands around every letter whose template wants one.')).toBeVisible();

  const around = page
    .getByRole('note', { name: 'Letterhead' })
    .filter({ hasText: 'Pianos since Larkfield Piano Care' });
  await page.goto('/write?from=client:hartigan');
  await expect(around.first()).toBeVisible();
  await expectAccessible(page);
  await page.goto(template);
  await page.getByRole('tab', { name: 'Ink' }).click();
  await expect(around.first()).toBeVisible();
  await page.getByRole('tab', { name: 'Pencil' }).click();
  await page.locator('.template-head summary').click();
  await page.getByLabel('Letterhead').and(page.locator('select')).selectOption('none');
  await page.getByRole('tab', { name: 'Ink' }).click();
  await expect(page.locator('.letter-body.copy').last()).toBeVisible();
  await expect(around).toHaveCount(0);

  // Without words there is none.
  await page.goto(`/templates/letterhead/${part}`);
  await expect(written).toContainText('Pianos since');
  await written.click();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Delete');
  await page.getByRole('button', { name: 'Keep this letterhead' }).click();
  await expect(page.getByText('Kept. It stands around every letter whose template wants one.')).toBeVisible();
  await page.goto('/write?from=client:hartigan');
  await expect(page.getByRole('textbox', { name: 'Letter' })).toBeVisible();
  await expect(around.filter({ hasText: part })).toHaveCount(0);
});
