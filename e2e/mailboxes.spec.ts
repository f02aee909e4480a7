import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { narrowPost } from './narrowPost';
import { expectAccessible, signIn } from './signedIn';
import { arrived, mailboxOf } from './writing';

const { MAILBOX_URL, MAILBOX_IMAP_PORT, PROVIDER_PORT } = process.env;

/** A member and a client of its own for each size. */
const OWN = {
  'desk-later': {
    email: 'runa@larkfield.example',
    password: 'larkfield-runa',
    client: { key: 'eriksdotter', address: 'eriksdotter@post.example' },
  },
  'phone-later': {
    email: 'teo@larkfield.example',
    password: 'larkfield-teo',
    client: { key: 'gilmartin', address: 'gilmartin@post.example' },
  },
} as const;

/** The world does something, by the mailbox stand-in. */
async function world(request: APIRequestContext, what: string, data: object): Promise<void> {
  const { ok, text } = await request
    .post(`${MAILBOX_URL}${what}`, { data })
    .then(async (answer) => ({ ok: answer.ok(), text: await answer.text() }));
  expect(ok, text).toBe(true);
}

async function openOwnMailbox(page: Page): Promise<void> {
  await page.goto('/settings/mailbox');
  await page.getByRole('link', { name: /A mailbox of your own|Yours is/ }).click();
  await expect(page.getByRole('heading', { name: 'Your own mailbox' })).toBeVisible();
}

async function takeOut(page: Page): Promise<void> {
  await openOwnMailbox(page);
  await page.getByRole('button', { name: 'Take it out' }).click();
  await page.getByRole('button', { name: 'Yes, take it out' }).click();
  await expect(page.getByRole('button', { name: 'Take it out' })).toHaveCount(0);
}

// Both are about one member’s own mailbox.
test.describe.configure({ mode: 'default' });

test('what was written in another mail program joins the client’s letters, and its answer is there at once', async ({
  page,
  request,
}, { project }) => {
  const { email, password, client } = OWN[project.name as keyof typeof OWN];
  await signIn(page, email, password);
  await openOwnMailbox(page);
  await expectAccessible(page);
  await page.getByLabel('Server for mail that comes in').fill('127.0.0.1');
  await page.getByLabel('Port').fill(MAILBOX_IMAP_PORT!);
  await page.getByLabel('Protection on the way').selectOption('none');
  await page.getByLabel('Name', { exact: true }).fill(email);
  await page.getByLabel('Password').fill('a guess');
  const keep = page.getByRole('button', { name: 'Try and keep' });
  await keep.click();
  await expect(page.getByText(/does not take this name with this password/)).toBeVisible();
  await expect(page.getByLabel('Password')).toBeFocused();
  await page.getByLabel('Password').fill('mailbox');
  await page.getByLabel('Folder with what you have written').fill('Gone out');
  await keep.click();
  await expect(page.getByText(/has no folder called Gone out/)).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Folder with what you have written').fill('');
  await page.getByLabel('Password').fill('mailbox');
  await keep.click();
  await expect(page.getByText(/^Kept/)).toBeVisible();
  await expect(async () => {
    await page.reload();
    await expect(page.getByText(/^Looked into last/)).toBeVisible({ timeout: 2_000 });
  }).toPass();

  // From the phone’s own mail program, between two visits.
  const subject = `From elsewhere, ${project.name}`;
  await world(request, '/elsewhere', { from: email, to: client.address, subject, text: 'We come at nine.' });
  await world(request, '/elsewhere', {
    from: email,
    to: 'sister@home.example',
    subject: `Private, ${project.name}`,
    text: 'See you on Sunday.',
  });
  await page.goto(`/clients/${client.key}`);
  // The folder of sent ones is looked into every minute; what comes to the inbox wakes its reader at once.
  await world(request, '/write', {
    from: client.address,
    to: email,
    subject: `Something else, ${project.name}`,
    text: 'Is there a key?',
    onlyMailbox: true,
  });
  await expect(page.getByRole('link', { name: subject }).first()).toBeVisible({ timeout: 20_000 });

  await arrived(request, client.address, subject);
  const [letter] = (await mailboxOf(request, client.address)).filter((one) => one.subject === subject);
  await world(request, `/letters/${(letter as unknown as { id: number }).id}/answer`, {
    text: 'Nine is well.',
    onlyMailbox: true,
  });
  // The server tells of it at once: what is looked into by the clock would be there after a minute.
  await expect(page.getByRole('link', { name: `Re: ${subject}` }).first()).toBeVisible({ timeout: 10_000 });

  await page.getByRole('link', { name: subject, exact: true }).first().click();
  await expect(page.getByText('We come at nine.').first()).toBeVisible();
  await expect(page.getByText('It was written in another mail program.').first()).toBeVisible();
  await expectAccessible(page);
  await page.goto('/post');
  await narrowPost(page, 'Came in');
  await expect(page.getByText(`Re: ${subject}`).filter({ visible: true }).first()).toBeVisible();
  await expect(page.getByText(`Private, ${project.name}`)).toHaveCount(0);
  await takeOut(page);
});

test('a mailbox opens with what its provider gave', async ({ page, request }, { project }) => {
  const { email, password, client } = OWN[project.name as keyof typeof OWN];
  await signIn(page, email, password);
  await openOwnMailbox(page);
  await page.getByLabel('Server for mail that comes in').fill('127.0.0.1');
  await page.getByLabel('Port').fill(MAILBOX_IMAP_PORT!);
  await page.getByLabel('Protection on the way').selectOption('none');
  await page.getByLabel('How', { exact: true }).selectOption('at the provider, who asks you there');
  await page.getByLabel('Name', { exact: true }).fill(email);
  await page.getByLabel('Where the provider signs people in').fill(`http://127.0.0.1:${PROVIDER_PORT}`);
  await page.getByLabel('As what it knows this application').fill('fair-quill');
  await page.getByRole('button', { name: 'Try and keep' }).click();
  await page.getByRole('button', { name: 'Allow it' }).click();
  await expect(page.getByText('Kept. It is used from now on.')).toBeVisible();
  await page.getByRole('link', { name: 'To the mailbox' }).click();
  await expect(page.getByRole('link', { name: `Yours is ${email}` })).toBeVisible();
  const subject = `By a token, to read, ${project.name}`;
  await world(request, '/write', {
    from: client.address,
    to: email,
    subject,
    text: 'Is there a key?',
    onlyMailbox: true,
  });
  await page.goto(`/clients/${client.key}`);
  await expect(page.getByRole('link', { name: subject }).first()).toBeVisible({ timeout: 20_000 });
  await takeOut(page);
});
