import type { Page } from '@playwright/test';

/** Narrows Post's list to a state, newest first: what waits longest stands above all that has just come, and a phone draws what is near. */
export async function narrowPost(page: Page, state: string): Promise<void> {
  await page.getByText('Narrow the list').click();
  await page.getByLabel('State', { exact: true }).selectOption(state);
}
