import { expect, test, type Page } from '@playwright/test';
import type { WritingAnswer } from '../src/core/contract/writing';
import { expectAccessible, signIn } from './signedIn';
import { editable } from './writing';

const REMINDER = '/write?from=invoice:LPC-1048&template=first-reminder';

const letterOf = (page: Page) => page.getByRole('article', { name: /^Letter to/ });

/** Opens a template of the list, which a phone shows over the page. */
async function choose(page: Page, name: string) {
  const back = page.getByRole('button', { name: 'Another template' });
  if (await back.isVisible()) await back.click();
  await page.getByRole('searchbox', { name: 'Find a template' }).fill(name);
  await page.getByRole('button', { name }).first().click();
}

/** How many things this device keeps of the business's templates. */
function keptHere(page: Page): Promise<number> {
  return page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const opening = indexedDB.open('fair-quill-templates');
        opening.onsuccess = () => {
          const database = opening.result;
          if (!database.objectStoreNames.contains('templates')) return resolve(0);
          const asked = database.transaction('templates').objectStore('templates').count();
          asked.onsuccess = () => {
            database.close();
            resolve(asked.result);
          };
        };
      }),
  );
}

test('the first letter is read before any script has come', async ({ page }) => {
  await signIn(page);
  await page.route('**/*.js', (route) => route.abort());
  await page.goto(REMINDER);
  await expect(letterOf(page)).toContainText('Hello Hale');
  await expect(letterOf(page)).toContainText('accounts@thornholtcollege.example');
  await expect(page.getByText('You can read it now.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Send', exact: true })).toHaveCount(0);
  await expectAccessible(page);
});

test('templates are fetched once, kept on the device, and gone when nobody is signed in', async ({
  page,
}) => {
  await signIn(page);
  await page.goto(REMINDER);
  await editable(page);
  // The list, and the words of 26 templates and of those that other tests make meanwhile.
  await expect.poll(() => keptHere(page)).toBeGreaterThanOrEqual(27);

  // Another letter asks for its own records alone.
  const answers: WritingAnswer[] = [];
  const words: string[] = [];
  page.on('request', (request) => request.url().includes('/templates/words') && words.push(request.url()));
  page.on('response', async (response) => {
    if (response.url().includes('/api/writing')) answers.push((await response.json()) as WritingAnswer);
  });
  await expect(async () => {
    answers.length = words.length = 0;
    await page.goto('/clients/hartigan');
    await page.getByRole('link', { name: 'Write', exact: true }).first().click();
    await editable(page);
    await choose(page, 'Statement of account');
    await expect(letterOf(page)).toContainText('this is what is still open today');
    await page.waitForTimeout(2000);
    // Once more where a template was kept meanwhile, as another test does.
    expect(answers.map(({ list, words: given }) => [list, given])).toEqual([[undefined, undefined]]);
    expect(words).toEqual([]);
  }).toPass({ timeout: 40_000 });

  await page.goto('/today');
  page.on('dialog', (dialog) => void dialog.accept());
  await page.getByRole('button', { name: 'Sign out' }).click();
  const asked = page.getByRole('button', { name: 'Sign out all the same' });
  await expect(asked.or(page.getByRole('button', { name: 'Sign in', exact: true }))).toBeVisible();
  if (await asked.isVisible()) await asked.click();
  await expect(page).toHaveURL(/sign-in/);
  expect(await keptHere(page)).toBe(0);
});

test('a template whose words are not on the device is fetched when it is chosen, and without a connection that is said', async ({
  page,
  context,
}) => {
  await signIn(page);
  // What is fetched in the background does not come.
  await page.route('**/api/templates/words?*', (route) => route.abort());
  await page.goto(REMINDER);
  await editable(page);
  await page.waitForTimeout(2000);
  await context.setOffline(true);
  await choose(page, 'Statement of account');
  await expect(page.getByRole('alert').filter({ hasText: 'Statement of account' })).toContainText(
    'There is no connection, and the words of “Statement of account” are not on this device.',
  );
  await expect(letterOf(page)).toContainText('Hello Hale');
  await context.setOffline(false);
  await page.unroute('**/api/templates/words?*');
  await choose(page, 'Statement of account');
  await expect(letterOf(page)).toContainText('LPC-1048');
  await expect(letterOf(page).getByRole('heading')).toHaveText('Letter to Thornholt College');
  await expect(page.getByText('are not on this device')).toHaveCount(0);
});

test('a search in a letter tells what is not offered there, and why', async ({ page }) => {
  await signIn(page);
  await page.goto('/write?from=client:oconnell');
  const another = page.getByRole('button', { name: 'Another template' });
  const find = page.getByRole('searchbox', { name: 'Find a template' });
  await expect(another.or(find).first()).toBeVisible();
  if (await another.isVisible()) await another.click();
  await find.fill('thank asking');
  const told = page.getByRole('region', { name: 'Not offered for this letter' });
  await expect(told.getByRole('link', { name: /^Thank you for asking/ })).toContainText(
    'It starts from an enquiry, and there is none here',
  );
  await expectAccessible(page);
  await find.fill('no such words at all');
  await expect(page.getByText('No template has these words.')).toBeVisible();
  await find.fill('thank asking');
  await told.getByRole('link').click();
  await expect(page).toHaveURL(/\/templates\/thank-you-for-asking$/);
});
