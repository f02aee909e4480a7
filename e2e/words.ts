import type { Locator, Page } from '@playwright/test';

/** A template's text form, where it is written. */
export const wordsOf = (page: Page): Locator => page.getByRole('textbox', { name: 'Head and words' });

/** All it says: taken as one who copies it, since only the lines in sight are on the page. */
export async function textIn(words: Locator): Promise<string> {
  await words.click();
  await words.press('Control+a');
  return words.evaluate((content) => {
    const clipboardData = new DataTransfer();
    content.dispatchEvent(new ClipboardEvent('copy', { clipboardData, bubbles: true, cancelable: true }));
    return clipboardData.getData('text/plain');
  });
}

/** Writes another text in its place, as one that is pasted over all of it. */
export async function writeIn(words: Locator, text: string): Promise<void> {
  await words.click();
  await words.press('Control+a');
  await words.evaluate((content, pasted) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', pasted);
    content.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  }, text);
}
