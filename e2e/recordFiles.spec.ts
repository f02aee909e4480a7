import sharp from 'sharp';
import { expect, test, type Page } from '@playwright/test';
import { own } from './pencilPage';
import { expectAccessible, signIn } from './signedIn';

const files = (page: Page) => page.getByRole('region', { name: 'Files', exact: true });
const told = (page: Page) => page.getByRole('list', { name: 'Files on their way' });

/** A photograph that lies on its side, as a telephone keeps it, and says where it was taken. */
async function photograph(background: string): Promise<Buffer> {
  return sharp({ create: { width: 1200, height: 600, channels: 3, background } })
    .jpeg()
    .withExif({ IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
    .withMetadata({ orientation: 6 })
    .toBuffer();
}

async function choose(page: Page, button: string, name: string, buffer: Buffer): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: button, exact: true }).click();
  await (await chooser).setFiles({ name, mimeType: 'application/octet-stream', buffer });
}

test('a client’s thing has a page with its pictures: photographed, seen, renamed, removed and put back', async ({
  page,
}, { project }) => {
  test.slow();
  const isPhone = project.name.startsWith('phone');
  const [client, called] = isPhone
    ? ['calder', 'the upright']
    : ['hartigan', 'the upright in the front room'];
  await signIn(page);
  await page.goto(`/clients/${client}`);
  await page.getByRole('article').getByRole('link', { name: called, exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: called })).toBeVisible();
  await expect(files(page)).toContainText(
    'A file has at most 15 MB, a photograph 25 MB; there is room for 10 GB more.',
  );

  // Nothing of a file that is called off is kept.
  await page.route('**/api/record-files?**', () => undefined);
  await choose(page, 'Choose files', 'Never.txt', Buffer.from('never'));
  await expect(told(page)).toContainText('Bringing in Never.txt');
  await told(page).getByRole('button', { name: 'Cancel Never.txt' }).click();
  await expect(told(page)).toBeHidden();
  await page.unroute('**/api/record-files?**');

  // Without a connection it waits for another try.
  await page.route('**/api/record-files?**', (route) => route.abort());
  await choose(page, isPhone ? 'Photograph' : 'Choose files', 'image.jpg', await photograph('#7a4'));
  await expect(told(page)).toContainText('There is no connection. It has not been brought in.');
  await expectAccessible(page);
  await page.unroute('**/api/record-files?**');
  await told(page).getByRole('button', { name: 'Try again' }).click();
  const picture = files(page).getByRole('link', { name: 'image.jpg, by itself' });
  await expect(picture).toBeVisible();
  await expect(told(page)).toBeHidden();

  // Upright, and without the place where it was taken.
  const whole = await page.request.get((await picture.getAttribute('href'))!);
  const { width, height, exif } = await sharp(await whole.body()).metadata();
  expect({ width, height, exif }).toEqual({ width: 600, height: 1200, exif: undefined });
  await picture.locator('img').scrollIntoViewIfNeeded();
  await expect
    .poll(() => picture.locator('img').evaluate((image: HTMLImageElement) => image.naturalWidth))
    .toBe(160);

  await choose(page, 'Choose files', 'image.jpg', await photograph('#47a'));
  await expect(files(page).getByRole('link', { name: 'image 2.jpg', exact: true })).toBeVisible();
  await choose(page, 'Choose files', 'Plan.pdf', Buffer.from('a page'));
  await expect(told(page)).toContainText('Plan.pdf: It is no PDF, though its name says so.');
  await told(page).getByRole('button', { name: 'Leave it' }).click();
  await expectAccessible(page);

  // Called otherwise by keyboard: Escape leaves it, Enter keeps it, its ending stays.
  await files(page).getByRole('button', { name: 'Rename image 2.jpg' }).press('Enter');
  const name = files(page).getByRole('textbox', { name: 'What image 2.jpg is called' });
  await expect(name).toBeFocused();
  await page.keyboard.type('Nothing');
  await page.keyboard.press('Escape');
  const rename = files(page).getByRole('button', { name: 'Rename image 2.jpg' });
  await expect(rename).toBeFocused();
  await rename.press('Enter');
  await expect(name).toBeFocused();
  await page.keyboard.type('Hammers');
  await page.keyboard.press('Enter');
  await expect(files(page).getByRole('link', { name: 'Hammers.jpg', exact: true })).toBeVisible();
  await expect(files(page).getByRole('button', { name: 'Rename Hammers.jpg' })).toBeFocused();

  await files(page).getByRole('button', { name: 'Remove Hammers.jpg' }).press('Enter');
  await expect(files(page).getByRole('link', { name: 'Hammers.jpg', exact: true })).toBeHidden();
  await files(page).getByRole('status').getByRole('button', { name: 'Put back' }).click();
  await expect(files(page).getByRole('link', { name: 'Hammers.jpg', exact: true })).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await expect(files(page).getByRole('listitem')).toHaveCount(2);
  const download = page.waitForEvent('download');
  await files(page).getByRole('link', { name: 'Hammers.jpg', exact: true }).click();
  expect((await download).suggestedFilename()).toBe('Hammers.jpg');
});

test('what is photographed without a connection comes in when there is one again', async ({ page }, {
  project,
}) => {
  const visit = project.name.startsWith('phone') ? 'b05' : 'b51';
  await signIn(page);
  await page.goto(`/work/bookings/${visit}`);
  await expect(files(page)).toBeVisible();
  await page.context().setOffline(true);
  await choose(page, 'Choose files', 'Cellar.jpg', await photograph('#222'));
  await expect(told(page)).toContainText('There is no connection. It has not been brought in.');
  await page.context().setOffline(false);
  await expect(files(page).getByRole('link', { name: 'Cellar.jpg', exact: true })).toBeVisible();
  await expect(told(page)).toBeHidden();
});

test('several files are dropped on a visit, and stand there for the whole team', async ({ page }, {
  project,
}) => {
  const visit = project.name.startsWith('phone') ? 'b02' : 'b-hartigan';
  await signIn(page, 'teo@larkfield.example', 'larkfield-teo');
  await page.goto(`/work/bookings/${visit}`);
  const dropped = await page.evaluateHandle(() => {
    const data = new DataTransfer();
    for (let n = 1; n <= 6; n++)
      data.items.add(new File([`Note ${n}`], `Note ${n}.txt`, { type: 'text/plain' }));
    return data;
  });
  const place = files(page).locator('.file-drop');
  await expect(async () => {
    await place.dispatchEvent('dragover', { dataTransfer: dropped });
    await expect(place).toHaveClass(/is-over/, { timeout: 1_000 });
  }).toPass();
  await place.dispatchEvent('drop', { dataTransfer: dropped });
  await expect(files(page).getByRole('link', { name: /^Note \d\.txt$/ })).toHaveCount(6);
  await expect(place).not.toHaveClass(/is-over/);
  await signIn(page);
  await page.goto(`/work/bookings/${visit}`);
  await expect(files(page).getByRole('link', { name: /^Note \d\.txt$/ })).toHaveCount(6);
});

test('a file of the business’s own is renamed, removed and put back in Settings', async ({ page }) => {
  const name = `${own('Terms')}.txt`;
  await signIn(page);
  await page.goto('/settings/files');
  await choose(page, 'Choose files', name, Buffer.from('Thirty days.'));
  const list = page.getByRole('region', { name: 'Files of the business' });
  await expect(list.getByRole('link', { name })).toBeVisible();
  await list.getByRole('button', { name: `Rename ${name}` }).click();
  await page.getByRole('textbox', { name: `What ${name} is called` }).fill('');
  await page.keyboard.press('Enter');
  await expect(list).toContainText('Write what it is called.');
  await expectAccessible(page);
  const other = own('Conditions');
  await page.getByRole('textbox', { name: `What ${name} is called` }).fill(other);
  await page.keyboard.press('Enter');
  await expect(list.getByRole('link', { name: `${other}.txt` })).toBeVisible();
  await list.getByRole('button', { name: `Remove ${other}.txt` }).click();
  await expect(list.getByRole('link', { name: `${other}.txt` })).toBeHidden();
  await list.getByRole('button', { name: 'Put back' }).click();
  await expect(list.getByRole('link', { name: `${other}.txt` })).toBeVisible();
  await expectAccessible(page);
});
