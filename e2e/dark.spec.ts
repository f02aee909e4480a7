import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { editable } from './writing';

test('by night every colour is its night’s, and can be read', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await signIn(page);
  for (const path of ['/today', '/work/invoices/LPC-1048', '/templates/visit-confirmed', '/post']) {
    await page.goto(path);
    // What was fetched stands there, not the words that it is on its way.
    await expect(page.locator('h1:visible').first()).toBeVisible();
    await expectAccessible(page);
  }
  await page.goto('/write?from=enquiry:e3&template=thank-you-for-asking');
  await editable(page);
  await expectAccessible(page);
  const paper = await page.getByRole('article', { name: /^Letter to/ }).evaluate((element) => {
    const { backgroundColor, color } = getComputedStyle(element);
    return { backgroundColor, color };
  });
  expect(paper).toEqual({ backgroundColor: 'rgb(39, 40, 43)', color: 'rgb(236, 231, 220)' });
});
