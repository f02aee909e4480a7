import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, signIn, TODAY } from './signedIn';
import { editable, sendButton, stetAll, typeBehind } from './writing';
import { textIn, wordsOf, writeIn } from './words';

/** Clients of its own for each size and test. */
const CLIENTS = {
  desk: { offline: 'hosseini', tabs: 'ivarsson', older: 'maseko', table: 'stroud' },
  phone: { offline: 'underhill', tabs: 'adeyemi', older: 'sunniva', table: 'eriksdotter' },
} as const;
const of = (name: string) => CLIENTS[name as keyof typeof CLIENTS];

/** Waits until the device's store has some words. */
async function keptOnDevice(page: Page, words: string) {
  await expect
    .poll(() =>
      page.evaluate(
        () =>
          new Promise<string>((resolve) => {
            const opening = indexedDB.open('fair-quill');
            opening.onsuccess = () => {
              const asked = opening.result.transaction('drafts').objectStore('drafts').getAll();
              asked.onsuccess = () => resolve(JSON.stringify(asked.result));
            };
          }),
      ),
    )
    .toContain(words);
}

const letterOf = (page: Page) => page.getByRole('article', { name: /^Letter to/ });

async function begin(page: Page, client: string, template = 'statement-of-account') {
  await page.goto(`/write?from=client:${client}&template=${template}`);
  await editable(page);
  return letterOf(page);
}

test('taking back without a connection says that it has not been taken back, and does it later', async ({
  page,
  context,
}, { project }) => {
  await signIn(page);
  const letter = await begin(page, of(project.name).offline);
  await stetAll(letter);
  await sendButton(letter).click();
  await expect(letter.getByText('Going.')).toBeVisible();
  await context.setOffline(true);
  await page.waitForTimeout(700);
  await letter.getByRole('button', { name: 'Take it back' }).click();
  await expect(letter.getByRole('alert')).toContainText('There is no connection: it has not been taken back');
  await context.setOffline(false);
  await letter.getByRole('button', { name: 'Take it back' }).click();
  await expect(letter).toContainText('nothing is open');
  await editable(page);
});

test('of two tabs with one letter the later is told, and neither loses its words unasked', async ({
  page,
  context,
}, { project }) => {
  const client = of(project.name).tabs;
  await signIn(page);
  const letter = await begin(page, client);
  const second = await context.newPage();
  const same = await begin(second, client);
  await page.bringToFront();
  await typeBehind(page, 'nothing is open', ' From the first tab.');
  await keptOnDevice(page, 'From the first tab.');
  await second.bringToFront();
  await typeBehind(second, 'nothing is open', ' From the second tab.');
  const told = second.getByRole('alert').filter({ hasText: 'has been changed in another tab' });
  await expect(told).toBeVisible();
  await expectAccessible(second);
  await told.getByRole('button', { name: 'Take what stands there' }).click();
  await expect(same).toContainText('From the first tab.');
  await expect(same).not.toContainText('From the second tab.');
  await expect(letter).toContainText('From the first tab.');
});

test('the template in the address is opened, and an older draft stands beside it', async ({ page }, {
  project,
}) => {
  const client = of(project.name).older;
  await signIn(page);
  await begin(page, client);
  await typeBehind(page, 'nothing is open', ' Begun first.');
  await page.waitForTimeout(800);
  const letter = await begin(page, client, 'short-note');
  await expect(letter).not.toContainText('Begun first.');
  const older = page.getByRole('list', { name: 'Begun before' });
  await expect(older).toContainText('“Statement of account” was begun before, at ');
  await older.getByRole('button', { name: 'Write on' }).click();
  await expect(letter).toContainText('Begun first.');
  await page.goto('/post');
  const begun = page.getByRole('region', { name: 'Begun and not sent' });
  const one = begun.getByRole('listitem').filter({ has: page.locator(`a[href*="${client}"]`) });
  await expect(one.getByRole('link', { name: /Statement of account/ })).toBeVisible();
  await one.getByRole('button', { name: /^Throw away: Statement of account/ }).click();
  await expect(one).toHaveCount(0);
});

test('a pasted table keeps its cells apart', async ({ page }, { project }) => {
  await signIn(page);
  const letter = await begin(page, of(project.name).table);
  await typeBehind(page, 'nothing is open', '');
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData(
      'text/html',
      '<table><tr><td>Alto</td><td>12</td></tr><tr><td>Bass</td><td>7</td></tr></table>',
    );
    data.setData('text/plain', 'Alto\t12\nBass\t7');
    document.activeElement!.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await expect(letter.getByRole('row')).toHaveCount(2);
  await expect(letter.getByRole('row').first().getByRole('cell')).toHaveText(['Alto', '12']);
  await expect(letter.getByRole('row').last().getByRole('cell')).toHaveText(['Bass', '7']);
});

test('words of a template survive a link of the page', async ({ page }, { project }) => {
  const template = project.name === 'desk' ? 'we-had-to-move-your-visit' : 'help-with-the-moving';
  await signIn(page);
  await page.goto(`/templates/${template}`);
  await page.getByRole('tab', { name: 'Words' }).click();
  const words = wordsOf(page);
  const before = await textIn(words);
  await writeIn(words, `${before}\nNot kept yet.`);
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('heading', { name: TODAY })).toBeVisible();
  await page.goto(`/templates/${template}`);
  await page.getByRole('tab', { name: 'Words' }).click();
  await expect.poll(() => textIn(words)).toBe(`${before}\nNot kept yet.`);
});
