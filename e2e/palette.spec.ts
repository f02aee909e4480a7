import { expect, test } from '@playwright/test';
import { expectAccessible, openToday } from './signedIn';
import { editable } from './writing';

test('“write oda coming” leads to the letter, by keyboard or by thumb', async ({ page }, { project }) => {
  await openToday(page);
  const palette = page.getByRole('dialog', { name: 'Go to or begin' });
  const isPhone = project.name === 'phone';
  if (isPhone) await page.getByRole('button', { name: 'Go to …' }).click();
  else
    // A key pressed before the page listens goes nowhere.
    await expect(async () => {
      await page.keyboard.press('Control+k');
      await expect(palette).toBeVisible({ timeout: 1000 });
    }).toPass();
  const field = palette.getByRole('combobox');
  await expect(field).toBeFocused();
  await expectAccessible(page);
  await field.fill('write oda coming');
  if (isPhone) await palette.getByRole('option', { name: 'Write to Oda Hartigan: Visit coming up' }).click();
  // It is not gone to what was found before.
  else await page.keyboard.press('Enter');
  await expect(await editable(page)).toContainText('Hello Oda');
  await expect(page).toHaveURL(/from=booking%3Ab-hartigan&template=visit-coming-up/);
  await expect(palette).toBeHidden();
});

test('places and records are gone to, and without a connection places are', async ({ page, context }, {
  project,
}) => {
  await openToday(page);
  const palette = page.getByRole('dialog', { name: 'Go to or begin' });
  const open = () => page.getByRole('button', { name: 'Go to …' }).click();
  await open();
  await palette.getByRole('combobox').fill('LPC1048');
  await palette
    .getByRole('option', { name: /LPC-1048/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/work\/invoices\/LPC-1048$/);
  await open();
  await palette.getByRole('combobox').fill('zzz');
  await expect(palette.getByRole('status')).toHaveText('Nothing is found by these words.');
  await palette.getByRole('combobox').fill('calendar');
  const place = palette.getByRole('option', { name: 'Calendar' });
  await expect(place).toHaveAttribute('aria-selected', 'true');
  if (project.name === 'desk') {
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowUp');
  }
  await context.setOffline(true);
  await palette.getByRole('combobox').fill('settings');
  await expect(palette.getByRole('status')).toHaveText('There is no connection: only places are found.');
  await context.setOffline(false);
  await page.keyboard.press('Escape');
  await expect(palette).toBeHidden();
});
