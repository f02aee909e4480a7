import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { narrowPost } from './narrowPost';
import { expectAccessible, signIn } from './signedIn';
import { arrived, editable, mailboxOf, sendButton, stetAll, typeBehind } from './writing';

const MAILBOX = process.env.MAILBOX_URL!;

/** A client of its own for each size. */
const CLIENTS = {
  'desk-later': { client: 'wray', name: /Wray/, address: 'wray@post.example', greeting: /^Hello / },
  'phone-later': { client: 'stroud', name: /Stroud/, address: 'stroud@post.example', greeting: /^Hello / },
} as const;

/** Writes a blank letter to a client, and gives what has arrived. */
async function write(
  page: Page,
  request: APIRequestContext,
  { client, address, greeting }: Client,
  subject: string,
) {
  await page.goto(`/write?from=client:${client}&template=${encodeURIComponent(':blank client')}`);
  const letter = await editable(page);
  await letter.locator('.subject').evaluate((node) => getSelection()!.collapse(node, 0));
  await letter.focus();
  await page.keyboard.type(subject);
  await typeBehind(page, greeting, ' the key is with Runa.');
  await send(page);
  return newest(request, address, subject);
}

type Client = (typeof CLIENTS)[keyof typeof CLIENTS];

async function send(page: Page) {
  await stetAll(page.locator('#page'));
  await sendButton(page.locator('#page')).click();
  await expect(page.getByText(/^Going|^Sent|Take back/).first()).toBeVisible();
}

async function newest(request: APIRequestContext, address: string, subject: string) {
  await arrived(request, address, subject);
  return (await mailboxOf(request, address)).filter((one) => one.subject === subject).at(-1)! as Awaited<
    ReturnType<typeof mailboxOf>
  >[number] & { id: number };
}

/** On a phone Post is a list; at a desk what waits stands beside it, with its words. */
async function openInPost(page: Page, state: string, subject: string) {
  await narrowPost(page, state);
  await page.getByRole('link', { name: subject }).filter({ visible: true }).first().click();
  await expect(page.getByRole('heading', { name: subject, level: 1 })).toBeVisible();
}

const headerOf = ({ headers }: { headers: { name: string; value: string }[] }, name: string) =>
  headers.find((one) => one.name === name)?.value ?? '';

test('an answer is there within two seconds, is answered in its thread, and so is the answer to that', async ({
  page,
  request,
}, { project }) => {
  const client = CLIENTS[project.name as keyof typeof CLIENTS];
  await signIn(page);
  const subject = `The key, ${project.name}`;
  const letter = await write(page, request, client, subject);

  // Its reader answers while the client's page is open.
  await page.goto(`/clients/${client.client}`);
  const letters = page.locator('#letters');
  await expect(letters.getByRole('link', { name: subject })).toBeVisible();
  await request.post(`${MAILBOX}/letters/${letter.id}/answer`, {
    data: {
      text: 'Thank you. Which door is it?',
      quotes: true,
      files: [{ name: 'Door.txt', content: 'the green one' }],
    },
  });
  const answer = letters.getByRole('article', { name: `Re: ${subject}` });
  await expect(answer).toContainText('Which door is it?', { timeout: 2_000 });
  await expect(answer.getByText('the key is with Runa')).toBeHidden();
  await answer.getByText('What it answers').click();
  await expect(answer.getByText('the key is with Runa')).toBeVisible();
  await answer.getByRole('button', { name: 'Keep with' }).click();
  await expect(answer.getByText('Kept with')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Door.txt' }).first()).toBeVisible();
  await expectAccessible(page);

  // What they ask for is written down for them.
  await expect(answer.getByRole('link', { name: 'New booking' })).toHaveAttribute(
    'href',
    `/work/bookings/new?client=${client.client}`,
  );
  await answer.getByRole('link', { name: 'Answer' }).click();
  await expect(await editable(page)).toContainText(`Re: ${subject}`);
  await expect(page.getByText('It says nothing yet but a greeting.')).toBeVisible();
  // What was last said stands where the letter begins.
  await expect(page.locator('.last-said')).toContainText(`“Re: ${subject}”`);
  await typeBehind(page, client.greeting, ' it is the green one.');
  await expectAccessible(page);
  await send(page);
  const second = await newest(request, client.address, `Re: ${subject}`);
  expect(headerOf(second, 'in-reply-to')).not.toBe('');
  expect(headerOf(second, 'references').split(/\s+/)).toEqual([
    headerOf(letter, 'message-id'),
    headerOf(second, 'in-reply-to'),
  ]);
  expect(second.text).toContain('> Thank you. Which door is it?');

  // What has been answered waits no more; a second answer goes on in the thread.
  await page.goto(`/clients/${client.client}`);
  await expect(answer.first().getByRole('link', { name: 'Answer' })).toHaveCount(0);
  await request.post(`${MAILBOX}/letters/${second.id}/answer`, { data: { text: 'Found it.' } });
  const last = letters.getByRole('article').filter({ hasText: 'Found it.' });
  await expect(last).toBeVisible({ timeout: 2_000 });
  await last.getByRole('link', { name: 'Answer' }).click();
  await typeBehind(page, client.greeting, ' good.');
  await page.getByLabel('With their words below').uncheck();
  await send(page);
  await expect
    .poll(
      async () =>
        (await mailboxOf(request, client.address)).filter(({ text }) => text.includes('good.')).length,
    )
    .toBe(1);
  const third = (await mailboxOf(request, client.address)).find(({ text }) => text.includes('good.'))!;
  expect(headerOf(third, 'references').split(/\s+/)).toHaveLength(4);
  expect(third.text).not.toContain('Found it.');

  // One that needs no answer is dealt with, and that can be undone.
  await request.post(`${MAILBOX}/letters/${letter.id}/answer`, {
    data: { text: `Thanks again, ${project.name}.` },
  });
  await page.goto('/today');
  const card = page.locator('.waiting-letter').filter({ hasText: `Thanks again, ${project.name}.` });
  await card.getByRole('button', { name: 'Dealt with' }).click();
  await card.getByRole('button', { name: 'Undo' }).click();
  await card.getByRole('button', { name: 'Dealt with' }).click();
  await expect(card.getByText('Dealt with.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expect(card).toHaveCount(0);
});

test('a letter that had arrived before is answered out of its reader’s mailbox', async ({ page, request }, {
  project,
}) => {
  const [client, address] =
    project.name === 'desk-later'
      ? ['lowcellar', 'dez@lowcellar.example']
      : ['tidelineroom', 'anouk@tideline.example'];
  const [letter] = (await (
    await request.get(`${MAILBOX}/letters?to=${encodeURIComponent(address)}`)
  ).json()) as { id: number; subject: string }[];
  await signIn(page);
  await page.goto(`/clients/${client}`);
  const answer = page.getByRole('link', { name: `Re: ${letter!.subject}` });
  await expect(answer).toHaveCount(0);
  await request.post(`${MAILBOX}/letters/${letter!.id}/answer`, {
    data: { text: 'It is paid.', quotes: true },
  });
  await expect(answer).toBeVisible();
  await answer.click();
  await expect(page.getByRole('heading', { name: `Re: ${letter!.subject}`, level: 1 })).toBeVisible();
  await expect(page.getByText('It is paid.').filter({ visible: true }).first()).toBeVisible();
});

test('a letter that came back says why, and its cure sends it', async ({ page, request }, { project }) => {
  const client = CLIENTS[project.name as keyof typeof CLIENTS];
  await signIn(page);
  const subject = `The lamp, ${project.name}`;
  const letter = await write(page, request, client, subject);
  await page.goto('/post');
  await request.post(`${MAILBOX}/letters/${letter.id}/report`, {
    data: { state: 'delayed', words: '450 4.2.2 mailbox full for the moment', status: '4.2.2' },
  });
  await request.post(`${MAILBOX}/letters/${letter.id}/report`, {
    data: { inWords: project.name === 'phone-later' },
  });
  const card = page.locator('.needs-letter').filter({ hasText: subject });
  await expect(card).toContainText('There is no such address.', { timeout: 2_000 });
  await openInPost(page, 'Came back', subject);
  await expect(page.getByText(/^delayed,/)).toBeVisible();
  await page.getByRole('link', { name: 'Write it anew' }).click();
  await editable(page);
  await expect(page).toHaveURL(/\/write\?from=client/);
});

test('somebody in no record stands apart with what they ask, and what is hostile runs nothing', async ({
  page,
  request,
}, { project }) => {
  await signIn(page);
  await page.goto('/post');
  const name = project.name === 'desk-later' ? 'Bram Tolliver' : 'Edda Marsh';
  const subject = `A harpsichord, ${project.name}`;
  await request.post(`${MAILBOX}/write`, {
    data: {
      from: `${name} <asks-${project.name}@new.example>`,
      to: 'office@larkfield.example',
      subject,
      text: `Hello,\n\ncould you tune our harpsichord on 9 December 2026?\nYou reach me at 07700 900321.\n\n${name}`,
      html: '<p onclick="document.title=1">could you<script>document.title = "run"</script> tune it?</p><img src="https://elsewhere.example/seen.png" alt="A picture">',
    },
  });
  const card = page.locator('.waiting-letter').filter({ hasText: subject });
  await expect(card).toContainText('07700 900321', { timeout: 4_000 });
  await expect(card).toContainText('Wednesday 9 December');
  await expectAccessible(page);
  const asked: string[] = [];
  await page.route('https://elsewhere.example/**', (route) => {
    asked.push(route.request().url());
    return route.fulfill({ contentType: 'image/png', body: '' });
  });
  await openInPost(page, 'Came in', subject);
  await expect(page.getByText('07700 900321').first()).toBeVisible();
  await page.getByRole('button', { name: 'Show it as it was made' }).click();
  await expect(page.frameLocator('iframe').getByText('tune it?')).toBeVisible();
  expect(asked).toEqual([]);
  await expect(page).not.toHaveTitle('run');
  await expectAccessible(page);
  await page.getByLabel('Who sees to it').selectOption('Teo Marsh');
  await expect(page.getByLabel('Who sees to it')).toHaveValue('teo');
  await page.getByRole('button', { name: 'With its pictures from elsewhere' }).click();
  await expect.poll(() => asked).toEqual(['https://elsewhere.example/seen.png']);

  await page.getByRole('button', { name: 'Make an enquiry of it' }).click();
  await expect(page).toHaveURL(/\/work\/enquiries\//);
  await expect(page.getByRole('heading', { name })).toBeVisible();
  await expect(page.locator('#letters')).toContainText('could you tune our harpsichord');
});

test('what was written in another mail program joins the client’s letters, and all of them come out', async ({
  page,
}, { project }) => {
  const { client, address } = CLIENTS[project.name as keyof typeof CLIENTS];
  await signIn(page);
  await page.goto(`/clients/${client}`);
  const letters = page.locator('#letters');
  await letters.getByText('Letters as files').click();
  await expectAccessible(page);
  const file = [
    'From - Mon Nov  2 10:00:00 2026',
    `From: ${address}`,
    'To: imke@larkfield.example',
    'Subject: Asked elsewhere',
    `Message-ID: <asked-${project.name}@x.example>`,
    'Date: Mon, 02 Nov 2026 10:00:00 +0000',
    '',
    'Is Monday free?',
    '',
    'From - Tue Nov  3 10:00:00 2026',
    'From: imke@larkfield.example',
    `To: ${address}`,
    'Subject: Re: Asked elsewhere',
    `Message-ID: <answered-${project.name}@x.example>`,
    `In-Reply-To: <asked-${project.name}@x.example>`,
    'Date: Tue, 03 Nov 2026 10:00:00 +0000',
    '',
    'It is.',
    '',
  ].join('\n');
  const bring = (content: string) =>
    letters
      .getByLabel('Letters to bring in')
      .setInputFiles({ name: 'Sent.mbox', mimeType: 'application/mbox', buffer: Buffer.from(content) });
  await bring(file);
  await expect(letters.getByText('2 letters were brought in.')).toBeVisible();
  await expect(letters.getByRole('article', { name: 'Re: Asked elsewhere' })).toContainText('It is.');
  await expect(letters.getByRole('article', { name: 'Asked elsewhere', exact: true })).toContainText(
    'Is Monday',
  );
  await bring(file);
  await expect(letters.getByText('0 letters were brought in, 2 were here already.')).toBeVisible();
  await bring('no message at all');
  await expect(letters.getByRole('alert')).toContainText('There is no message in it');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    letters.getByRole('link', { name: 'All as a mailbox file' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe(`letters-${client}.mbox`);
});
