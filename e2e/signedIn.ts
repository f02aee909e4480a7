import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** The heading of Today on the day that the tests are run for (FAIRQUILL_NOW). */
export const TODAY = 'Wednesday 25 November';

/** Signs in as the owner, through the page. */
export async function signIn(
  page: Page,
  email = 'imke@larkfield.example',
  password = 'larkfield-imke',
): Promise<void> {
  await page.goto('/sign-in');
  await page.getByLabel('Email address').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: TODAY })).toBeVisible();
}

/** Whether axe finds nothing against WCAG 2.2 AA on the page as it is. */
export async function expectAccessible(page: Page): Promise<void> {
  // After going to another page its title comes last.
  await expect(page).toHaveTitle(/\S/);
  // A letter's own frame runs no scripts, axe's included: what is in it is checked apart.
  const { violations } = await new AxeBuilder({ page })
    .exclude('iframe')
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join(' ')}`)).toEqual([]);
}
