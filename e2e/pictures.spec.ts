import sharp from 'sharp';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { note, open, pencil, putIn, textOf } from './pencilPage';
import { expectAccessible } from './signedIn';

const photo = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#2b6b5e' } })
    .jpeg()
    .toBuffer();

async function choose(page: Page, name: string, buffer: Buffer): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await putIn(page, 'Picture').click();
  await (await chooser).setFiles({ name, mimeType: 'image/jpeg', buffer });
}

const pictures = (page: Page): Locator => pencil(page).locator('img.letter-picture');

/** Pastes HTML, as a browser does that has it from another program. */
async function paste(page: Page, html: string): Promise<void> {
  await pencil(page).evaluate((element, pasted) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/html', pasted);
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  }, html);
}

test('a picture is chosen, told in words, sized, linked and cropped, and goes into the letter', async ({
  page,
}) => {
  const written = await open(page, 'Has a picture', 'client');
  await written.getByText('Hello').click();
  await page.keyboard.press('End');
  await choose(page, 'workshop.jpg', await photo(2400, 1600));
  await expect(pictures(page)).toHaveCount(1);
  await note(page, 'Picture').getByLabel('What it shows').fill('The workshop');
  await note(page, 'Picture').getByLabel('What it shows').press('Tab');
  await note(page, 'Picture').getByLabel('Its width').fill('320');
  await note(page, 'Picture').getByLabel('Where it leads').fill('not an address');
  await note(page, 'Picture').getByLabel('Where it leads').press('Tab');
  await expect(note(page, 'Picture')).toContainText('Write an address of the web or of mail.');
  await note(page, 'Picture').getByLabel('Where it leads').fill('www.larkfield.example/workshop');
  await note(page, 'Picture').getByLabel('Where it leads').press('Tab');
  await expectAccessible(page);

  const before = await pictures(page).getAttribute('src');
  await note(page, 'Picture').getByRole('button', { name: 'Crop it' }).click();
  const crop = page.getByRole('dialog', { name: 'Crop the picture' });
  await expectAccessible(page);
  await crop.getByLabel('Cut off on the left').fill('50');
  await crop.getByRole('button', { name: 'Crop it' }).click();
  await expect(crop).toBeHidden();
  await expect(pictures(page)).not.toHaveAttribute('src', before!);
  // What was cut off was on the left: it is half as wide, and as high as before.
  await expect
    .poll(() => pictures(page).evaluate((one: HTMLImageElement) => [one.naturalWidth, one.naturalHeight]))
    .toEqual([620, 827]);
  await page.keyboard.press('Control+z');
  await expect(pictures(page)).toHaveAttribute('src', before!);

  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByText('Kept as version 2.')).toBeVisible();
  const sha256 = before!.split('/').pop()!;
  expect(await textOf(page)).toContain(
    `![The workshop](${sha256}){width=320 link=https://www.larkfield.example/workshop}`,
  );
  await page.getByRole('tab', { name: 'Ink' }).click();
  await expect(page.getByRole('img', { name: 'The workshop' })).toBeVisible();
  await page.getByText('Its HTML, as it goes').click();
  await expect(page.getByLabel('HTML', { exact: true })).toContainText('alt="The workshop" width="320"');
});

test('what is no picture, is too large, or meets no connection is told, and nothing is lost', async ({
  page,
}) => {
  const written = await open(page, 'Bad pictures', 'client');
  await written.getByText('Hello').click();
  const told = page.getByRole('list', { name: 'Pictures on their way' });
  await choose(page, 'large.jpg', Buffer.alloc(40_000_000));
  await expect(told).toContainText('large.jpg: This picture has 40 MB. At most 25 MB can be brought in.');
  await told.getByRole('button', { name: 'Leave it' }).click();
  await choose(page, 'page.jpg', Buffer.from('<html><script>alert(1)</script></html>'));
  await expect(told).toContainText('page.jpg: This is no picture that letters can have.');
  await told.getByRole('button', { name: 'Leave it' }).click();

  await page.route('**/api/pictures', (route) => route.abort());
  await choose(page, 'later.jpg', await photo(60, 40));
  await expect(told).toContainText('There is no connection. The picture has not been brought in.');
  await page.unroute('**/api/pictures');
  await told.getByRole('button', { name: 'Try again' }).click();
  await expect(pictures(page)).toHaveCount(1);
  await expect(told).toBeHidden();

  // The server refuses one that no page of ours would have sent.
  const headers = { origin: process.env.BASE_URL!, 'content-type': 'image/jpeg' };
  const large = await page.request.post('/api/pictures', { headers, data: Buffer.alloc(26_000_000) });
  expect(large.status()).toBe(413);
  const changed = await page.request.post('/api/pictures', {
    headers: { ...headers, 'content-digest': `sha-256=:${'A'.repeat(43)}=:` },
    data: await photo(60, 40),
  });
  expect(await changed.json()).toMatchObject({
    error: 'What arrived is not what was sent. Try again.',
  });
});

test('a picture is dropped where it belongs', async ({ page }) => {
  const written = await open(page, 'Dropped picture', 'client');
  await expect(written.getByText('Hello')).toBeVisible();
  const content = (await photo(80, 60)).toString('base64');
  await written.evaluate((element, base64) => {
    const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
    const dataTransfer = new DataTransfer();
    dataTransfer.items.add(new File([bytes], 'dropped.jpg', { type: 'image/jpeg' }));
    const { left, top } = element.querySelector('p:nth-of-type(2)')!.getBoundingClientRect();
    element.dispatchEvent(
      new DragEvent('drop', {
        dataTransfer,
        bubbles: true,
        cancelable: true,
        clientX: left + 2,
        clientY: top + 5,
      }),
    );
  }, content);
  await expect(pictures(page)).toHaveCount(1);
});

test('what is pasted from elsewhere is plain, and what a letter may not contain is told', async ({
  page,
}) => {
  const written = await open(page, 'Pasted', 'client');
  await written.getByText('what you want to say').click();
  await page.keyboard.press('Delete');
  await paste(
    page,
    `<html xmlns:o="urn:x"><head><style>p {color: red}</style></head><body><!--StartFragment-->
     <p class=MsoNormal>A <b style="font-weight:normal">plain</b> and a <span style="font-weight:700">heavy</span> word<o:p></o:p></p>
     <p class=MsoListParagraph style="mso-list:l0 level1 lfo1"><span style="mso-list:Ignore">·<span> </span></span>First</p>
     <p class=MsoListParagraph style="mso-list:l0 level2 lfo1"><span style="mso-list:Ignore">o </span>Inner</p>
     <p class=MsoListParagraph style="mso-list:l0 level1 lfo1"><span style="mso-list:Ignore">·</span>Second</p>
     <p><a href="javascript:alert(1)">bad</a> <a href="https://larkfield.example/a">good</a></p>
     <img src="https://elsewhere.example/a.png"><img src="file:///c:/b.png"><iframe src="https://elsewhere.example"></iframe>
     <script>document.title = 'run'</script><!--EndFragment--></body></html>`,
  );
  await expect(page.getByText('Left out of what was pasted:')).toContainText(
    'a script, a film, a sound or a frame, 2 pictures from elsewhere',
  );
  await page.getByRole('button', { name: 'All right' }).click();
  await expect(page).not.toHaveTitle('run');

  await putIn(page, 'More').click();
  await page.getByRole('button', { name: 'HTML', exact: true }).click();
  await page
    .getByRole('textbox', { name: 'HTML' })
    .fill('<table><tr><th>Day</th></tr><tr><td>Monday</td></tr></table>');
  await page.getByRole('button', { name: 'Put it in' }).click();
  const text = await textOf(page);
  expect(text).toContain('A plain and a **heavy** word');
  expect(text).toMatch(/- First\n\n? {2}- Inner\n\n?- Second/);
  expect(text).toContain('bad [good](https://larkfield.example/a)');
  expect(text).toMatch(/\| Day\s*\|\n\|-+\|\n\| Monday\s*\|/);
});
