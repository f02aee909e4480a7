import { expect, test } from '@playwright/test';
import { ask } from './database';
import { expectAccessible, signIn } from './signedIn';
import { editable, expectReady, stetAll, typeBehind } from './writing';

const OWN = {
  'desk-later': { from: 'booking:b73', visit: 'b73' },
  'phone-later': { from: 'booking:b74', visit: 'b74' },
} as const;

// Both write about the same visit.
test.describe.configure({ mode: 'serial' });

test('letters worth writing are read one after the other, and the last can be taken back from the next', async ({
  page,
}, { project }) => {
  const { from } = OWN[project.name as 'desk-later'];
  await signIn(page);
  await page.goto('/today');
  const card = page.getByRole('link', { name: /^Read and send to/ }).first();
  await expect(card).toHaveAttribute('href', /&turn=1$/);

  await page.goto(`/write?from=${from}&template=visit-confirmed&turn=1`);
  await editable(page);
  const letter = page.getByRole('article', { name: /^Letter to/ });
  const name = (await letter.getByRole('heading', { level: 1 }).textContent())!.replace('Letter to ', '');
  await typeBehind(page, 'Hello', ' and welcome');
  await stetAll(letter);
  await expectReady(letter);
  const andNext = letter.getByRole('button', { name: 'Send and read the next' });
  await expect(letter.getByText(/^Next: /)).toBeVisible();
  await expectAccessible(page);
  await andNext.click();
  await expect(page.getByText(`Sent to ${name}.`)).toBeVisible();
  await expect(page).not.toHaveURL(new RegExp(encodeURIComponent(from)));
  await editable(page);
  await page.getByRole('button', { name: /^Take it back/ }).click();
  await expect(page.getByText(`The letter to ${name} was taken back.`)).toBeVisible();
  await page.getByRole('link', { name: 'Write on' }).click();
  await expect(page).toHaveURL(new RegExp(encodeURIComponent(from)));
  await expect(await editable(page)).toContainText('and welcome');
});

test('after a letter its record follows in one press, and back; the next one waiting is offered', async ({
  page,
}, { project }) => {
  const { from, visit } = OWN[project.name as 'desk-later'];
  const status = async () =>
    (await ask<{ status: string }>('select status from booking where key = $1', [visit]))[0]!.status;
  await signIn(page);
  await page.goto(`/write?from=${from}&template=visit-confirmed`);
  await editable(page);
  const letter = page.getByRole('article', { name: /^Letter to/ });
  await stetAll(letter);
  await letter.getByRole('button', { name: 'Send', exact: true }).click();
  await letter.getByRole('button', { name: 'Mark the visit as confirmed' }).click();
  await expect(letter.getByText('Noted: the visit is confirmed.')).toBeVisible();
  expect(await status()).toBe('confirmed');
  await letter.getByRole('button', { name: 'Undo' }).click();
  await expect(letter.getByRole('button', { name: 'Mark the visit as confirmed' })).toBeVisible();
  expect(await status()).toBe('tentative');
  await letter.getByRole('button', { name: 'Take it back' }).click();
  await editable(page);
  // Nothing follows from a letter that was taken back.
  await expect(letter.getByRole('button', { name: /^Mark/ })).toHaveCount(0);
});
