import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { editable, openNote } from './writing';

test('blanks are asked one after the other, days as people type them', async ({ page }) => {
  await signIn(page);
  await page.goto('/write?from=client:calder&template=we-are-away');
  const text = await editable(page);
  const first = text.getByRole('textbox', { name: 'First day away' });
  const last = text.getByRole('textbox', { name: 'Last day away' });

  // It stands twice, and is asked once.
  await expect(first).toHaveCount(2);
  await first.first().focus();
  await page.keyboard.type('7 Dec');
  await page.keyboard.press('Tab');
  await expect(first).toHaveCount(0);
  await expect(text).toContainText('from Monday, 7 December 2026 to');
  await expect(last.first()).toBeFocused();

  // What is no day is said at its place, and stays there to be put right.
  await page.keyboard.type('Tuesday 11 December');
  await page.keyboard.press('Tab');
  await expect(text.getByRole('alert').filter({ hasText: 'Write' })).toHaveText(
    'Write a day, as “2 December”.',
  );
  await expect(last.first()).toHaveValue('Tuesday 11 December');
  await expect(last.first()).toHaveAttribute('aria-invalid', 'true');
  await expectAccessible(page);
  await last.first().fill('11/12');
  await page.keyboard.press('Enter');
  await expect(last).toHaveCount(0);
  await expect(text).toContainText('to Friday, 11 December 2026 the workshop is closed');
  await expect(text).toContainText('From Monday, 14 December 2026 we are there again');
  // Nothing is asked any more: the page is written on.
  await expect(text).toBeFocused();

  // An answer is changed as it was typed, or from the device's own calendar.
  const note = await openNote(page, 'Last day away', 'Friday, 11 December 2026');
  const field = note.getByRole('textbox', { name: 'Last day away' });
  await expect(field).toHaveValue('Friday, 11 December 2026');
  await note.locator('input[type=date]').fill('2026-12-18');
  await expect(field).toHaveValue('Friday, 18 December 2026');
  await expect(field).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(text).toContainText('to Friday, 18 December 2026');

  // The same in the text, taken at once.
  await text.press('Control+z');
  await text.press('Control+z');
  await expect(last.first()).toBeVisible();
  await text.locator('.day-picker input').first().fill('2026-12-16');
  await expect(text).toContainText('to Wednesday, 16 December 2026');
  await expect(text).toContainText('From Thursday, 17 December 2026');
});
