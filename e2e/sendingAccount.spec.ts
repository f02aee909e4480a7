import { expect, test, type Page } from '@playwright/test';
import { SMTPServer } from 'smtp-server';
import { expectAccessible, signIn } from './signedIn';
import { editable, mailboxOf, sendButton, stetAll, typeBehind } from './writing';

/** A member of its own for each size: letters of the others leave as before. */
const MEMBERS = {
  'desk-later': ['runa@larkfield.example', 'larkfield-runa', 'client:wray'],
  'phone-later': ['teo@larkfield.example', 'larkfield-teo', 'client:stroud'],
} as const;

/** A provider's mail server, and the letters that it took. */
async function provider(email: string): Promise<{ server: SMTPServer; port: number; letters: string[] }> {
  const letters: string[] = [];
  const server = new SMTPServer({
    disabledCommands: ['STARTTLS'],
    allowInsecureAuth: true,
    closeTimeout: 100,
    onAuth: ({ username, password }, _, done) =>
      username === email && password === 'made for programs'
        ? done(null, { user: username })
        : done(Object.assign(new Error('5.7.8 Wrong name or password'), { responseCode: 535 })),
    onData: (stream, _, done) => {
      const chunks: Buffer[] = [];
      stream.on('data', (chunk: Buffer) => chunks.push(chunk));
      stream.on('end', () => {
        letters.push(Buffer.concat(chunks).toString());
        done();
      });
    },
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  return { server, port: (server.server.address() as { port: number }).port, letters };
}

async function write(page: Page, client: string, words: string) {
  await page.goto(`/write?from=${client}&template=${encodeURIComponent(':blank client')}`);
  const letter = await editable(page);
  await letter.locator('.subject').evaluate((node) => getSelection()!.collapse(node, 0));
  await letter.focus();
  await page.keyboard.type(words);
  await typeBehind(page, /^Hello /, ' the key is with us.');
  await stetAll(page.locator('#page'));
  await sendButton(page.locator('#page')).click();
  await expect(page.getByText(/^Going|^Sent|Take back/).first()).toBeVisible();
}

// Both are about one member’s own account.
test.describe.configure({ mode: 'default' });

test('an account with a wrong password says so, and with the right one letters leave by it', async ({
  page,
}, { project }) => {
  const [email, password, client] = MEMBERS[project.name as keyof typeof MEMBERS];
  const { server, port, letters } = await provider(email);
  try {
    await signIn(page, email, password);
    await page.goto('/settings/sending');
    await page.getByRole('link', { name: 'An account of your own' }).click();
    await expect(page.getByRole('heading', { name: 'Your own sending account' })).toBeVisible();
    // No network answers here: that is said, and nothing is written.
    await page.getByRole('button', { name: 'Look it up' }).click();
    await expect(page.getByText(/Nothing is said of larkfield\.example/)).toBeVisible({ timeout: 40_000 });
    await page.getByLabel('Server for mail that goes out').fill('127.0.0.1');
    await page.getByLabel('Port').fill(String(port));
    await page.getByLabel('Name', { exact: true }).fill(email);
    await page.getByLabel('Password').fill('a guess');
    const keep = page.getByRole('button', { name: 'Try and keep' });
    // TLS from the start is what it begins with; this one speaks none.
    await keep.click();
    await expect(page.getByText(/does not begin with TLS/)).toBeVisible();
    await page.getByLabel('Protection on the way').selectOption('none');
    await keep.click();
    await expect(
      page.getByText(/does not take this name with this password.*5\.7\.8 Wrong name/),
    ).toBeVisible();
    await expect(page.getByLabel('Password')).toBeFocused();
    await expectAccessible(page);

    // Come back later: what was typed is there, but for the password.
    await page.reload();
    await expect(page.getByText('You wrote this here before and have not kept it.')).toBeVisible();
    await expect(page.getByLabel('Port')).toHaveValue(String(port));
    await expect(page.getByLabel('Password')).toHaveValue('');
    expect(await page.evaluate(() => JSON.stringify({ ...localStorage }))).not.toContain('a guess');
    await page.getByLabel('Password').fill('made for programs');
    await keep.click();
    await expect(page.getByText('Kept.')).toBeVisible();
    expect(letters).toEqual([]);
    await page.reload();
    await expect(page.getByLabel('Password')).toHaveValue('');
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(email);

    const subject = `By a server of our own, ${project.name}`;
    await write(page, client, subject);
    await expect
      .poll(() => letters.filter((one) => one.includes(subject)).length, { timeout: 30_000 })
      .toBe(1);

    await page.goto('/settings/sending/own');
    await page.getByRole('button', { name: 'Take it out' }).click();
    await page.getByRole('button', { name: 'Yes, take it out' }).click();
    await expect(page.getByText(/As long as there is none/)).toBeVisible();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('');
  } finally {
    await new Promise<void>((closed) => server.close(closed));
  }
});

test('an owner makes a key, sees the line to set, and that it is not there yet', async ({ page }, {
  project,
}) => {
  await signIn(page);
  await page.goto('/settings/signing');
  const domain = page.getByRole('region', { name: 'larkfield.example' });
  // There is one domain: the key is made at the desk, and looked at on both.
  if (project.name === 'phone-later') {
    await expect(domain).toBeVisible();
    return expectAccessible(page);
  }
  await domain.getByRole('button', { name: 'Make a key' }).click();
  await expect(domain.getByText('letters._domainkey.larkfield.example')).toBeVisible();
  await expect(domain.getByText(/^v=DKIM1; k=rsa; p=\S{300,}$/)).toBeVisible();
  await expect(domain.getByText(/Letters are not signed yet/)).toBeVisible();
  await domain.getByRole('button', { name: 'See whether it is there' }).click();
  await expect(domain.getByRole('alert')).toHaveText(/is not there yet|Nobody answers/);
  for (const width of [1280, 390]) {
    await page.setViewportSize({ width, height: 844 });
    await expectAccessible(page);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
  }
  await domain.getByRole('button', { name: 'Take the key out' }).click();
  await domain.getByRole('button', { name: 'Yes, take it out' }).click();
  await expect(domain.getByRole('button', { name: 'Make a key' })).toBeVisible();
});

test('where a provider signs people in, they allow it there, and letters leave by what it gave', async ({
  page,
  request,
}, { project }) => {
  const { PROVIDER_PORT, PROVIDER_SMTP_PORT } = process.env;
  const [email, password, client] = MEMBERS[project.name as keyof typeof MEMBERS];
  await signIn(page, email, password);
  await page.goto('/settings/sending/own');
  await page.getByLabel('Server for mail that goes out').fill('127.0.0.1');
  await page.getByLabel('Port').fill(PROVIDER_SMTP_PORT!);
  await page.getByLabel('Protection on the way').selectOption('none');
  await page.getByLabel('How', { exact: true }).selectOption('at the provider, who asks you there');
  await page.getByLabel('Name', { exact: true }).fill(email);
  await page.getByLabel('Where the provider signs people in').fill(`http://127.0.0.1:${PROVIDER_PORT}`);
  await page.getByLabel('As what it knows this application').fill('fair-quill');
  await expectAccessible(page);
  const keep = page.getByRole('button', { name: 'Try and keep' });
  await keep.click();
  await expect(page.getByRole('heading', { name: 'A mail provider, for trying' })).toBeVisible();
  await expect(page.getByText(`May fair-quill use the mail of ${email}?`)).toBeVisible();

  // Not allowed: that is said, and what was typed is there for another try.
  await page.getByRole('button', { name: 'No', exact: true }).click();
  await expect(page.getByText('It is not kept. The provider did not agree. access_denied')).toBeVisible();
  await expectAccessible(page);
  await page.goto('/settings/sending/own');
  await expect(page.getByLabel('As what it knows this application')).toHaveValue('fair-quill');
  await keep.click();
  await page.getByRole('button', { name: 'Allow it' }).click();
  await expect(page.getByText('Kept. It is used from now on.')).toBeVisible();
  // The page again, as when somebody goes back to it: nothing is done twice.
  await page.reload();
  await expect(page.getByText(/It is not kept\. This signing in was not begun here/)).toBeVisible();

  await page.getByRole('link', { name: 'To the sending account' }).click();
  await expect(page.getByRole('link', { name: /Yours leave by 127\.0\.0\.1/ })).toBeVisible();
  const subject = `By a token, ${project.name}`;
  await write(page, client, subject);
  const address = client === 'client:wray' ? 'wray@post.example' : 'stroud@post.example';
  await expect
    .poll(async () => (await mailboxOf(request, address)).filter((one) => one.subject === subject).length, {
      timeout: 30_000,
    })
    .toBe(1);
  await page.goto('/settings/sending/own');
  await page.getByRole('button', { name: 'Take it out' }).click();
  await page.getByRole('button', { name: 'Yes, take it out' }).click();
  await expect(page.getByText(/As long as there is none/)).toBeVisible();
});
