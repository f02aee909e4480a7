import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, openToday } from './signedIn';
import { editable } from './writing';

test.use({ serviceWorkers: 'allow' });

/** What the device's share sheet does: it posts a form to the application. */
async function share(page: Page, words: string, picture?: { name: string; size: number }) {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await expect.poll(() => page.evaluate(() => Boolean(navigator.serviceWorker.controller))).toBe(true);
  await page.evaluate(
    async ([text, file]) => {
      const form = document.createElement('form');
      Object.assign(form, { method: 'post', action: '/share', enctype: 'multipart/form-data' });
      const given = document.createElement('textarea');
      Object.assign(given, { name: 'text', value: text });
      form.append(given);
      if (file) {
        const canvas = new OffscreenCanvas(900, 700);
        canvas.getContext('2d')!.fillRect(100, 100, 400, 300);
        const parts: BlobPart[] = [await canvas.convertToBlob({ type: 'image/jpeg' })];
        if (file.size) parts.push(new Uint8Array(file.size));
        const chosen = new DataTransfer();
        chosen.items.add(new File(parts, file.name, { type: 'image/jpeg' }));
        const files = document.createElement('input');
        Object.assign(files, { type: 'file', name: 'files' });
        files.files = chosen.files;
        form.append(files);
      }
      document.body.append(form);
      form.submit();
    },
    [words, picture] as const,
  );
  await page.waitForURL('**/share*');
}

test('text and a photograph that are shared begin a letter to whom one says', async ({ page }) => {
  await openToday(page);
  await share(page, 'The lid hinge is loose.\n\n{{client.name}}', { name: 'lid hinge.jpg', size: 0 });
  const shared = page.getByRole('article', { name: 'Shared: to whom?' });
  await expect(shared).toContainText('The lid hinge is loose.');
  await expect(shared).toContainText('lid hinge.jpg');
  await expectAccessible(page);
  await shared.getByRole('searchbox', { name: 'Write to' }).fill('overstrand');
  await shared.getByRole('link', { name: /Write to Overstrand Academy/ }).click();
  const letter = await editable(page);
  await expect(letter.getByRole('paragraph').nth(1)).toHaveText(/^Hello /);
  await expect(letter).toContainText('The lid hinge is loose.');
  // What comes from outside is words, whatever it looks like.
  await expect(letter).toContainText('{{client.name}}');
  await expect(page.getByRole('link', { name: 'lid hinge.jpg' })).toBeVisible();
  await expect(page).not.toHaveURL(/shared=1/);
  await expect.poll(() => page.evaluate(() => caches.has('fair-quill-shared'))).toBe(true);
  await page.goto('/share');
  await expect(page.getByRole('heading', { name: 'Nothing is shared' })).toBeVisible();
});

test('what is too large is left behind and said, and what is not wanted is thrown away', async ({ page }) => {
  await openToday(page);
  await share(page, 'See the film.', { name: 'film.jpg', size: 26_000_000 });
  await expect(page.getByRole('alert').filter({ hasText: 'One file was left behind' })).toBeVisible();
  await expect(page.getByText('film.jpg')).toHaveCount(0);
  await page.getByRole('button', { name: 'Throw it away' }).click();
  await expect(page).toHaveURL(/\/today$/);
  await page.goto('/share');
  await expect(page.getByRole('heading', { name: 'Nothing is shared' })).toBeVisible();
  await expectAccessible(page);
});
