import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';

test('Post is narrowed by state, member, template and time, beside words, and is whole again', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/post');
  const list = page.locator('.index-rows a.entry');
  await page.getByText('Narrow the list').click();
  await page.getByLabel('State', { exact: true }).selectOption('Came back');
  await expect(list).toHaveCount(1);
  await expect(list.first()).toContainText('Brandvold');
  await expect(page.getByText('1 in all')).toBeVisible();
  await expect(page.getByText('Narrowed by one thing')).toBeVisible();

  // Another thing with it leaves nothing, and says so.
  await page.getByLabel('From the template').selectOption('First reminder');
  await expect(page.getByText('No letter is like that.')).toBeVisible();
  await page.getByLabel('State', { exact: true }).selectOption('Any');
  await expect(list.first()).toBeVisible();
  const reminders = await list.count();
  expect(reminders).toBeGreaterThan(0);
  await expectAccessible(page);

  // Words are looked for among those.
  await page.getByRole('searchbox').fill('no such words');
  await expect(list).toHaveCount(0);
  await page.getByRole('searchbox').fill('');
  await expect(list).toHaveCount(reminders);

  // A letter is opened and come back from: the list is as it was left.
  await list.first().click();
  await expect(page.getByRole('article').first()).toBeVisible();
  await page.goBack();
  await expect(list).toHaveCount(reminders);

  await page.getByLabel('Whose').selectOption('teo');
  await page.getByRole('button', { name: 'Show all again' }).click();
  await expect(page.getByText('Narrow the list')).toBeVisible();
  expect(await list.count()).toBeGreaterThan(reminders);
});
