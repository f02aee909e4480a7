import { createHash } from 'node:crypto';
import ICAL from 'ical.js';
import sharp from 'sharp';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import {
  arrived,
  editable,
  expectReady,
  expectWaiting,
  sendButton,
  showAllMarks,
  stetAll,
  typeBehind,
} from './writing';

/** A visit and its client, of its own for each size. */
const VISITS = {
  desk: { booking: 'b64', client: 'vandermeulen', address: 'joost@vandermeulen.example' },
  phone: { booking: 'b65', client: 'rao', address: 'rao@post.example' },
} as const;

const told = (page: Page) => page.getByRole('list', { name: 'Files on their way' });

async function choose(page: Page, button: string, name: string, buffer: Buffer, mimeType: string) {
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: button, exact: true }).click();
  await (await chooser).setFiles({ name, mimeType, buffer });
}

test('a letter takes along the visit’s entry, a photograph, what is the client’s: seen before, and received', async ({
  page,
  request,
  baseURL,
}, { project }) => {
  test.slow();
  const isPhone = project.name.startsWith('phone');
  const { booking, client, address } = VISITS[isPhone ? 'phone' : 'desk'];
  await signIn(page);
  const origin = baseURL!;
  const brought = await page.request.post(
    `/api/record-files?of=client&key=${client}&name=${encodeURIComponent('Key to the gate.txt')}`,
    { data: Buffer.from('under the pot'), headers: { origin, 'content-type': 'application/octet-stream' } },
  );
  expect(brought.ok()).toBe(true);

  await page.goto(`/write?from=booking:${booking}&template=visit-confirmed`);
  await editable(page);
  const head = page.locator('.address-head');
  // How large it is is told although it is made when it goes.
  await expect(head).toContainText(/the calendar entry, tuning visit\.ics, (?:\d+ bytes|\d kB)/);
  await head.getByRole('button', { name: 'Add a file' }).click();
  const add = page.getByRole('region', { name: 'Add to the letter' });
  await expect(add).toContainText('A file has at most 15 MB');
  await expectAccessible(page);
  await add.getByRole('button', { name: 'Add Key to the gate.txt' }).click();
  await expect(add.getByText('goes along')).toBeVisible();

  // A large photograph is scaled before it is sent, and where it was taken stays here.
  const photograph = await sharp({
    create: {
      width: 4000,
      height: 3000,
      channels: 3,
      noise: { type: 'gaussian', mean: 120, sigma: 40 },
      background: '#888',
    },
  })
    .jpeg({ quality: 90 })
    .withExif({ IFD3: { GPSLatitude: '51/1 30/1 0/1' } })
    .toBuffer();
  expect(photograph.length).toBeGreaterThan(2_000_000);
  await page.route('**/api/along?name=**', (route) => route.abort());
  await choose(page, isPhone ? 'Photograph' : 'Choose files', 'Pedals.jpg', photograph, 'image/jpeg');
  await expect(told(page)).toContainText('There is no connection. It has not been brought in.');
  await page.unroute('**/api/along?name=**');
  const sent = page.waitForRequest(/\/api\/along\?name=/);
  await told(page).getByRole('button', { name: 'Try again' }).click();
  const size = Number(await (await sent).headerValue('content-length'));
  expect(size).toBeLessThan(photograph.length * 0.75);
  // The server scales what it is given once more: where everything else is tested beside it, that takes its time.
  await expect(head.getByRole('link', { name: 'Pedals.jpg' })).toBeVisible({ timeout: 90_000 });
  await add.getByRole('button', { name: 'Done' }).click();
  await expect(add).toBeHidden();

  // What is added can be taken out again; a reload knows of the rest.
  await head.getByRole('button', { name: 'Remove Key to the gate.txt' }).click();
  await expect(head.getByText('Key to the gate.txt')).toBeHidden();
  await head.getByRole('button', { name: 'Add a file' }).click();
  await add.getByRole('button', { name: 'Add Key to the gate.txt' }).click();
  await add.getByRole('button', { name: 'Done' }).click();
  await page.waitForTimeout(800);
  await page.reload();
  await editable(page);
  await expect(head.getByRole('link', { name: 'Pedals.jpg' })).toBeVisible();
  // What is added and not spoken of is asked about.
  await expectWaiting(page.locator('#page'), '1 query');
  await typeBehind(page, 'Please leave', ' Two files are attached.');
  await expectReady(page.locator('#page'));
  await expectAccessible(page);
  const subject = await subjectOf(page);
  await sendButton(page.locator('#page')).click();

  const [letter] = await arrived(request, address, subject);
  expect(letter!.attachments.map(({ name }) => name)).toEqual([
    'tuning visit.ics',
    'Pedals.jpg',
    'Key to the gate.txt',
  ]);
  const [entry, , key] = letter!.attachments;
  expect(key!.sha256).toBe(createHash('sha256').update('under the pot').digest('hex'));
  const made = await (await page.request.get(`/api/bookings/${booking}/calendar-entry`)).text();
  expect(entry!.size).toBe(Buffer.byteLength(made));
  const event = new ICAL.Component(ICAL.parse(made) as string).getFirstSubcomponent('vevent')!;
  expect(String(event.getFirstPropertyValue('summary'))).toBe('Tuning visit, Larkfield Piano Care');
});

async function subjectOf(page: Page): Promise<string> {
  return (await page.locator('.letter-body .subject').first().innerText()).trim();
}

test('a letter stops where what goes along is not there any more', async ({ page, baseURL }, { project }) => {
  const isPhone = project.name.startsWith('phone');
  const { booking, client } = VISITS[isPhone ? 'phone' : 'desk'];
  await signIn(page);
  const origin = baseURL!;
  const name = `Gone ${project.name}.txt`;
  const brought = await page.request.post(
    `/api/record-files?of=client&key=${client}&name=${encodeURIComponent(name)}`,
    { data: Buffer.from(name), headers: { origin, 'content-type': 'application/octet-stream' } },
  );
  const { file } = (await brought.json()) as { file: { id: string } };
  await page.goto(`/write?from=booking:${booking}&template=visit-confirmed`);
  await editable(page);
  await page.getByRole('button', { name: 'Add a file' }).click();
  await page.getByRole('button', { name: `Add ${name}` }).click();
  // The other test may have written to the same person by now: that is asked about, too.
  await showAllMarks(page.locator('#page'));
  await expect(page.getByText(`“${name}” goes along`)).toBeVisible();
  await stetAll(page.locator('#page'));
  await page.request.post(`/api/record-files/${file.id}`, { data: { removed: true }, headers: { origin } });
  await sendButton(page.locator('#page')).click();
  await expect(page.locator('.letter-foot').getByRole('alert')).toContainText(
    `“${name}” cannot go along: it is no longer there. Leave it out.`,
  );
  await page.getByRole('button', { name: `Remove ${name}` }).click();
  await expect(page.getByRole('link', { name })).toBeHidden();
});
