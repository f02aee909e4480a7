import { expect, type Locator, type Page } from '@playwright/test';

/** Goes on with a key, Tab where none is said, until something has the focus. */
export async function reach(page: Page, target: Locator, key = 'Tab'): Promise<void> {
  await expect(target).toBeVisible();
  for (let pressed = 0; pressed < 160; pressed++) {
    if (await target.evaluate((element) => element === document.activeElement).catch(() => false)) return;
    await page.keyboard.press(key);
  }
  throw new Error(`${target} is not reached by ${key}.`);
}
