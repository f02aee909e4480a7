import { expect, test, type Locator, type Page } from '@playwright/test';
import { openToday } from './signedIn';
import { editable } from './writing';

/** Taps, or presses at a desk, that are counted. */
function tapper() {
  const counted = {
    taps: 0,
    tap: async (what: Locator) => {
      counted.taps++;
      await what.click();
    },
  };
  return counted;
}

/** A letter with its words: to somebody, greeted, from a template. */
async function expectFilled(page: Page, greeting: RegExp | string) {
  await expect(await editable(page)).toContainText(greeting);
  await expect(page).toHaveURL(/\/write\?from=/);
}

test('anything that is due is a filled letter after at most three taps', async ({ page }) => {
  await openToday(page);
  const due = page.getByRole('main').locator('a[href^="/write?"]');
  await expect(due.first()).toBeVisible();
  // Other tests write what is due meanwhile: what is last changes, that there is some does not.
  for (const which of [due.first(), due.nth(1), due.last()]) {
    const counted = tapper();
    await counted.tap(which);
    await expectFilled(page, /\p{L}/u);
    expect(counted.taps).toBeLessThanOrEqual(3);
    await page.goBack();
    await expect(due.first()).toBeVisible();
  }
});

test('any client and template is a filled letter after at most five taps, by words or by lists', async ({
  page,
}, { project }) => {
  await openToday(page);
  for (const [words, letter, greeting] of [
    ['write overstrand away', /: We are away/, 'we are there again'],
    ['write fenwick statement', /: Statement of account/, /nothing is open|what is still open/],
  ] as const) {
    const counted = tapper();
    await counted.tap(page.getByRole('button', { name: 'Go to …' }));
    const palette = page.getByRole('dialog', { name: 'Go to or begin' });
    await palette.getByRole('combobox').fill(words);
    await counted.tap(palette.getByRole('option', { name: letter }).first());
    await expectFilled(page, greeting);
    expect(counted.taps).toBeLessThanOrEqual(5);
    await page.goto('/today');
  }

  const counted = tapper();
  const places = page.getByRole('navigation', { name: 'Places' }).last();
  await counted.tap(places.getByRole('link', { name: 'Clients' }));
  // Today has letters to her, too: each page is waited for.
  await expect(page).toHaveURL(/\/clients$/);
  await counted.tap(page.getByRole('link', { name: /^Harriet Fenwick|Fenwick/ }).first());
  await expect(page).toHaveURL(/\/clients\//);
  await counted.tap(page.getByRole('link', { name: /^Write/ }).first());
  await editable(page);
  if (project.name === 'phone') await counted.tap(page.getByRole('button', { name: 'Another template' }));
  await counted.tap(page.getByRole('button', { name: /^Short note/ }));
  await expect(await editable(page)).toContainText('Hello');
  expect(counted.taps).toBeLessThanOrEqual(5);
});
