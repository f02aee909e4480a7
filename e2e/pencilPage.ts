import { expect, test, type Locator, type Page } from '@playwright/test';
import { makeTemplate } from './makeTemplate';
import { signIn } from './signedIn';
import { textIn, wordsOf } from './words';

/** The same tests run at both sizes on one business: what they make has names of their own. */
export const own = (name: string) => `${name} ${test.info().project.name}`;

export const pencil = (page: Page) => page.getByRole('textbox', { name: 'Template' });
export const putIn = (page: Page, what: string) =>
  page.getByRole('group', { name: 'Put in' }).getByRole('button', { name: what, exact: true });
export const field = (page: Page, label: string) =>
  pencil(page).locator('[data-tag]', { hasText: new RegExp(`^${label}$`, 'i') });
export const note = (page: Page, title: string) => page.getByRole('region', { name: title, exact: true });

export async function findField(page: Page, wanted: string, label: string): Promise<void> {
  const list = page.getByRole('dialog', { name: 'Smart fields' });
  await list.getByRole('combobox', { name: 'Find a field' }).fill(wanted);
  await list.getByRole('option', { name: label }).first().click();
  await expect(list).toBeHidden();
}

/** Files are chosen by the test from now on: asked for at each press alone, the browser's own dialog may come first. */
export function choosesFiles(page: Page): void {
  page.on('filechooser', () => undefined);
}

export async function open(page: Page, name: string, startsFrom: string): Promise<Locator> {
  choosesFiles(page);
  await signIn(page);
  const key = await makeTemplate(page, own(name), own('Pencil'), startsFrom);
  await page.goto(`/templates/${key}`);
  await expect(pencil(page)).toBeVisible();
  return pencil(page);
}

/** The template's text, as it is kept. */
export async function textOf(page: Page): Promise<string> {
  await page.getByRole('tab', { name: 'Words' }).click();
  return textIn(wordsOf(page));
}
