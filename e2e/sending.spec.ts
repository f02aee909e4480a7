import { expect, test, type Page } from '@playwright/test';
import { ask } from './database';
import { expectAccessible, openToday, signIn } from './signedIn';
import {
  arrived,
  editable,
  expectReady,
  mailboxOf,
  mailServerAway,
  refuseNext,
  sendButton,
  stetAll,
  typeBehind,
} from './writing';

/** Clients of its own for each size, as a letter that is sent changes what is offered next. */
const CLIENTS = {
  desk: {
    once: 'rao',
    back: 'fenwick',
    away: 'ashdown',
    putOff: 'maseko',
    refused: 'teague',
    session: 'kowal',
    draft: 'jerome',
  },
  phone: {
    once: 'wray',
    back: 'pemberton',
    away: 'nakagawa',
    putOff: 'stroud',
    refused: 'castellanos',
    session: 'latimer',
    draft: 'barrow',
  },
} as const;

const SUBJECT = 'Where your account stands on 25 November 2026';
const mailOf = (key: string) => `${key}@post.example`;
const of = (name: string) => CLIENTS[name as keyof typeof CLIENTS];

/** Begins a letter without blanks to a client. */
async function begin(page: Page, client: string) {
  await page.goto(`/write?from=client:${client}&template=statement-of-account`);
  await editable(page);
  const letter = page.getByRole('article', { name: /^Letter to/ });
  // Nothing is open: the statement says so, and its writer means it.
  await stetAll(letter);
  await expectReady(letter);
  return letter;
}

test('double click, reload and two tabs send a letter once', async ({ page, request, context }, {
  project,
}) => {
  const client = of(project.name).once;
  await signIn(page);
  const letter = await begin(page, client);
  await typeBehind(page, 'nothing is open', ' Once only.');
  await expect(letter).toContainText('Once only.');
  // What was typed is there again after a reload, and in a second tab.
  await page.waitForTimeout(600);
  await page.reload();
  await editable(page);
  await expect(letter).toContainText('Once only.');
  const second = await context.newPage();
  const sameLetter = await begin(second, client);
  await expect(sameLetter).toContainText('Once only.');

  await sendButton(letter).dblclick();
  await expect(letter.getByText('Going.')).toBeVisible();
  await sendButton(sameLetter).click();
  await expect(sameLetter).toContainText('This letter was already given to be sent. It goes only once.');
  const received = await arrived(request, mailOf(client), SUBJECT);
  await expect(letter.getByText('Sent.', { exact: true })).toBeVisible();
  await expect(sameLetter.getByText('Sent.', { exact: true })).toBeVisible();
  expect(received).toHaveLength(1);
  // The next one is a new letter.
  await page.reload();
  await editable(page);
  await expect(letter).not.toContainText('Once only.');
  await page.waitForTimeout(1500);
  expect(await mailboxOf(request, mailOf(client))).toHaveLength(1);
});

/** Holds the next answer with facts back until what it gives is called. */
async function slowFacts(page: Page): Promise<() => void> {
  let answer = () => {};
  const waiting = new Promise<void>((done) => (answer = done));
  await page.route(
    '**/api/writing?**',
    async (route) => {
      await waiting;
      await route.continue();
    },
    { times: 1 },
  );
  return answer;
}

test('a letter can be taken back, changed and sent after all', async ({ page, request }, { project }) => {
  const client = of(project.name).back;
  await signIn(page);
  const letter = await begin(page, client);
  await typeBehind(page, 'nothing is open', ' First thoughts.');
  await sendButton(letter).click();
  const answer = await slowFacts(page);
  await letter.getByRole('button', { name: 'Take it back' }).click();
  // Nothing can be typed into a letter that was taken back, only into the new one.
  await expect(letter).toContainText('It was taken back.');
  await expect(letter.getByRole('textbox', { name: 'Letter' })).toHaveCount(0);
  answer();
  await editable(page);
  await expect(letter).toContainText('First thoughts.');
  await typeBehind(page, 'First thoughts.', ' And second ones.');
  await sendButton(letter).click();
  const received = await arrived(request, mailOf(client), SUBJECT);
  expect(received).toHaveLength(1);
  expect(received[0]!.text).toContain('First thoughts. And second ones.');
  await page.goto(`/clients/${client}`);
  await expect(page.getByRole('listitem').filter({ hasText: 'taken back' })).toContainText('First thoughts.');
});

test('a mail server that is away is asked again until it answers', async ({ page, request }, { project }) => {
  const client = of(project.name).away;
  await signIn(page);
  const letter = await begin(page, client);
  await sendButton(letter).click();
  await page.waitForTimeout(9000);
  await mailServerAway(request, 5000);
  await expect(letter).toContainText('It waits. The mail server cannot be reached and is asked again', {
    timeout: 20_000,
  });
  const received = await arrived(request, mailOf(client), SUBJECT);
  expect(received).toHaveLength(1);
  await expect(letter.getByText('Sent.', { exact: true })).toBeVisible();
});

test('a refusal for now is told with the server’s words and tried again', async ({ page, request }, {
  project,
}) => {
  const client = of(project.name).putOff;
  await signIn(page);
  await refuseNext(request, mailOf(client), 451, 'Greylisted, come back soon');
  const letter = await begin(page, client);
  await sendButton(letter).click();
  await expect(letter).toContainText('451 Greylisted, come back soon', { timeout: 25_000 });
  await arrived(request, mailOf(client), SUBJECT);
  await expect(letter.getByText('Sent.', { exact: true })).toBeVisible();
});

test('a refusal for good is told, stands first on Today and in Post, and is sent again from there', async ({
  page,
  request,
}, { project }) => {
  const client = of(project.name).refused;
  await signIn(page);
  await refuseNext(request, mailOf(client), 550, 'No such mailbox here');
  const letter = await begin(page, client);
  await sendButton(letter).click();
  await expect(letter).toContainText(
    'It was refused and has not gone. The mail server said: 550 No such mailbox here',
    { timeout: 25_000 },
  );
  await page.goto('/post');
  await expect(page.getByRole('link', { name: new RegExp(`${SUBJECT}.*failed`) }).first()).toBeVisible();
  await page.goto('/today');
  const needing = page.getByRole('region', { name: 'Letters that need somebody' }).getByRole('listitem');
  const card = needing.filter({ hasText: client === 'teague' ? 'Morwenna Teague' : 'Inés Castellanos' });
  await expect(card).toContainText('failed');
  await expect(card).toContainText('550 No such mailbox here');
  await expectAccessible(page);
  await card.getByRole('button', { name: 'Send it again' }).click();
  await expect(card).toContainText('Going.');
  await expect(card.getByRole('button', { name: 'Take it back' })).toBeVisible();
  const before = (await mailboxOf(request, mailOf(client))).length;
  await expect
    .poll(async () => (await mailboxOf(request, mailOf(client))).length, { timeout: 40_000 })
    .toBe(before + 1);
  await page.reload();
  await expect(card).toHaveCount(0);
});

/** A letter of its own for each size, with what is done about it and what stands there after undoing that. */
const NEEDING = {
  desk: { whom: 'Ingrid Brandvold', cure: 'Dealt with', done: 'Dealt with.', again: 'It came back.' },
  phone: {
    whom: 'Joost van der Meulen',
    cure: 'Do not send',
    done: 'It will not be sent.',
    again: 'Teo sees him next week',
  },
} as const;

test('what is dealt with can be taken up again', async ({ page }, { project }) => {
  const { whom, cure, done, again } = NEEDING[project.name as 'desk'];
  await openToday(page);
  const letter = page
    .getByRole('region', { name: 'Letters that need somebody' })
    .getByRole('listitem')
    .filter({ hasText: whom });
  await letter.getByRole('button', { name: cure }).click();
  await expect(letter).toContainText(done);
  await letter.getByRole('button', { name: 'Undo' }).click();
  await expect(letter.getByRole('button', { name: cure })).toBeVisible();
  await page.reload();
  await expect(letter).toContainText(again);
});

test('a session that ended while writing loses nothing', async ({ page, request, context }, { project }) => {
  const client = of(project.name).session;
  await signIn(page);
  const letter = await begin(page, client);
  await typeBehind(page, 'nothing is open', ' Written before the session ended.');
  await context.clearCookies();
  await sendButton(letter).click();
  await expect(letter).toContainText('You have been signed out. What you wrote is kept on this device.');
  await letter.getByRole('button', { name: 'Sign in again' }).click();
  await page.getByLabel('Email address').fill('imke@larkfield.example');
  await page.getByLabel('Password').fill('larkfield-imke');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  // Two pages come one after the other, each from nothing.
  await page.waitForURL(/\/write\?/, { timeout: 60_000 });
  await editable(page);
  await expect(letter).toContainText('Written before the session ended.');
  await sendButton(letter).click();
  const [received] = await arrived(request, mailOf(client), SUBJECT);
  expect(received!.text).toContain('Written before the session ended.');
});

test('without a connection a letter is kept, and goes when there is one', async ({ page, request, context }, {
  project,
}) => {
  const client = of(project.name).draft;
  await signIn(page);
  const letter = await begin(page, client);
  await context.setOffline(true);
  await typeBehind(page, 'nothing is open', ' From the van.');
  await sendButton(letter).click();
  await expect(letter).toContainText('There is no connection. It waits on this device');
  await context.setOffline(false);
  await expect(letter.getByText('Going.')).toBeVisible();
  const [received] = await arrived(request, mailOf(client), SUBJECT);
  expect(received!.text).toContain('From the van.');
});

test('a letter never goes in the name of whoever has signed in on the device since', async ({ page }) => {
  await signIn(page);
  const given = {
    id: crypto.randomUUID(),
    from: 'client:hartigan',
    templateVersion: 1,
    choices: { template: 'statement-of-account', answers: {} },
    facts: { values: {}, parts: [], to: [] },
    document: { type: 'doc', content: [{ type: 'subject' }, { type: 'paragraph' }] },
  };
  const headers = { origin: process.env.BASE_URL! };
  for (const path of ['/api/letters', '/api/letters/elsewhere', '/api/letters/file']) {
    const data = { ...given, writer: 'another-business imke' };
    const answer = await page.request.post(path, { data, headers });
    expect(answer.status(), path).toBe(403);
    expect(((await answer.json()) as { error: string }).error).toContain('another member’s');
  }
  const [kept] = await ask('select id from message where id = $1', [given.id]);
  expect(kept).toBeUndefined();
});

test('signing out asks before what was written goes from the device', async ({ page, request: _ }, {
  project,
}) => {
  await signIn(page);
  await begin(page, project.name === 'desk' ? 'dunmore' : 'gilmartin');
  await typeBehind(page, 'nothing is open', ' Not yet.');
  await page.waitForTimeout(600);
  await page.goto('/today');
  await page.getByRole('button', { name: 'Sign out' }).click();
  const question = page.getByRole('alertdialog', { name: 'Sign out' });
  await question.getByRole('button', { name: 'Stay' }).click();
  await expect(question).toHaveCount(0);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await question.getByRole('button', { name: 'Sign out all the same' }).click();
  await expect(page.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
});

/** An invoice of its own for each size. */
const PAID = {
  desk: { invoice: 'LPC-1057', open: '£732.00' },
  phone: { invoice: 'LPC-1050', open: '£137.20' },
} as const;

test('an invoice that is paid in a second browser while its letter is written stops the letter', async ({
  page,
  browser,
}, { project }) => {
  const { invoice, open } = PAID[project.name as 'desk'];
  await signIn(page);
  await page.goto(`/write?from=invoice:${invoice}&template=first-reminder`);
  await editable(page);
  const letter = page.getByRole('article', { name: /^Letter to/ });
  await expect(letter).toContainText(`${open} is still to come.`);
  await typeBehind(page, 'please forget', ' Warm regards.');

  const other = await browser.newContext({ ...project.use } as object);
  const second = await other.newPage();
  await signIn(second, 'runa@larkfield.example', 'larkfield-runa');
  await second.goto(`/work/invoices/${invoice}`);
  await second.getByText('Record a payment').click();
  await second.getByLabel('Amount').fill('nothing');
  await second.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(second.getByText('Write what was paid, as 96 or 96.00.')).toBeVisible();
  await second.getByLabel('Amount').fill('999999');
  await second.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(second.getByRole('button', { name: 'Record it all the same' })).toBeVisible();
  await second.getByLabel('Amount').fill('50.00');
  await second.getByRole('button', { name: 'Record', exact: true }).click();
  await second.getByRole('button', { name: 'Undo' }).click();
  await expect(second.getByText('£50.00', { exact: true })).toHaveCount(0);
  await second.getByLabel('Amount').fill('100.00');
  await second.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(second.getByRole('region', { name: 'Payments' })).toContainText('£100.00');
  await other.close();

  const left = project.name === 'desk' ? '£632.00' : '£37.20';
  // A reminder before its day: its writer is asked, and means it.
  await stetAll(letter);
  await sendButton(letter).click();
  const trouble = letter.getByRole('alert');
  await expect(trouble).toContainText('It has not been sent: something changed since you began.');
  await expect(trouble).toContainText(`balance is now ${left}`);
  const answer = await slowFacts(page);
  await trouble.getByRole('button', { name: 'Bring the letter up to date' }).click();
  // What is typed while the facts are on their way goes along.
  await typeBehind(page, 'Warm regards.', ' And soon.');
  answer();
  await expect(letter).toContainText(`${left} is still to come.`);
  await expect(letter).toContainText('Warm regards. And soon.');
  await expectReady(letter);
});
