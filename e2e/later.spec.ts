import { expect, test, type Page } from '@playwright/test';
import { ask } from './database';
import { narrowPost } from './narrowPost';
import { expectAccessible, signIn } from './signedIn';
import { arrived, editable, expectReady, mailboxOf, sendButton, stetAll, typeBehind } from './writing';

/** Clients of its own for each size. */
const CLIENTS = {
  'desk-later': { waits: ['lin', 'wen@lin.example'], changes: ['obriain', 'caoimhe@obriain.example'] },
  'phone-later': {
    waits: ['brandvold', 'ingrid@brandvold.example'],
    changes: ['delacruz', 'marta@delacruz.example'],
  },
} as const;

const SUBJECT = 'Where your account stands on 25 November 2026';

/** Writes to a client with a line of one's own, to go tomorrow at eight. */
async function putOff(page: Page, client: string): Promise<string> {
  await page.goto(`/write?from=client:${client}&template=statement-of-account`);
  await editable(page);
  const letter = page.getByRole('article', { name: /^Letter to/ });
  await stetAll(letter);
  await expectReady(letter);
  await typeBehind(page, 'Hello', ' A line of my own.');
  await letter.getByText('Later', { exact: true }).click();
  await letter.getByRole('button', { name: 'Tomorrow at 08:00' }).click();
  // It says what is so then.
  await expect(letter.locator('.subject')).toHaveText('Where your account stands on 26 November 2026');
  await stetAll(letter);
  await letter.getByRole('button', { name: 'Send tomorrow at 08:00' }).click();
  await expect(letter.getByText('It goes tomorrow at 08:00')).toBeVisible();
  const [kept] = await ask<{ id: string }>(
    `select message.id from message join client on client.id = client_id where client.key = $1 and message.status = 'later'`,
    [client],
  );
  return kept!.id;
}

const itsHourHasCome = (id: string) => ask('update message set goes_at = now() where id = $1', [id]);

test('a letter for later waits, is written on, and goes at its hour with what was written by hand', async ({
  page,
  request,
}, { project }) => {
  const [client, address] = CLIENTS[project.name as 'desk-later'].waits;
  await signIn(page);
  await putOff(page, client);
  await page.goto('/post');
  await narrowPost(page, 'For later');
  await page
    .getByRole('link', { name: /tomorrow at 08:00/ })
    .filter({ hasText: client === 'lin' ? 'Lin' : 'Brandvold' })
    .click();
  await expect(page.getByText('It goes tomorrow at 08:00. It is filled again then')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Write on' }).click();
  await expect(await editable(page)).toContainText('A line of my own.');
  // It goes no more, until it is sent again.
  await expect(page.getByRole('button', { name: 'Send', exact: true })).toBeVisible();
  await typeBehind(page, 'A line of my own.', ' And one more.');

  const letter = page.getByRole('article', { name: /^Letter to/ });
  await letter.getByText('Later', { exact: true }).click();
  await letter.getByLabel('On', { exact: true }).fill('2026-11-25');
  await letter.getByLabel('at', { exact: true }).fill('08:00');
  await letter.getByRole('button', { name: 'Choose' }).click();
  await expect(letter.getByRole('alert')).toHaveText('Today at 08:00 has passed. Choose another time.');
  await letter.getByLabel('at', { exact: true }).fill('17:30');
  await letter.getByRole('button', { name: 'Choose' }).click();
  await stetAll(letter);
  await letter.getByRole('button', { name: 'Send today at 17:30' }).click();
  await expect(letter.getByText('It goes today at 17:30')).toBeVisible();
  expect((await mailboxOf(request, address)).filter(({ subject }) => subject === SUBJECT)).toEqual([]);
  const [kept] = await ask<{ id: string }>(
    `select message.id from message join client on client.id = client_id where client.key = $1 and message.status = 'later'`,
    [client],
  );
  await itsHourHasCome(kept!.id);
  const received = await arrived(request, address, SUBJECT);
  expect(received).toHaveLength(1);
  expect(received[0]!.text).toContain('A line of my own. And one more.');
});

test('a letter in which something has changed by its hour waits, says what, and is sent as things are', async ({
  page,
  request,
}, { project }) => {
  const [client, address] = CLIENTS[project.name as 'desk-later'].changes;
  await signIn(page);
  const id = await putOff(page, client);
  await ask(`update client set given_name = 'Robin' where key = $1`, [client]);
  await itsHourHasCome(id);
  await expect
    .poll(async () => (await ask<{ status: string }>('select status from message where id = $1', [id]))[0])
    .toEqual({ status: 'held' });
  expect((await mailboxOf(request, address)).filter(({ subject }) => subject === SUBJECT)).toEqual([]);
  await page.goto('/today');
  const held = page.getByRole('listitem').filter({ has: page.locator(`a[href="/post/${id}"]`) });
  await expect(held).toContainText('At its hour something had changed');
  await expect(held).toContainText('Robin');
  await expect(held.getByRole('button', { name: 'Send it now' })).toHaveCount(0);
  await held.getByRole('button', { name: 'Write on' }).click();
  const written = await editable(page);
  await expect(written).toContainText('Robin');
  await expect(written).toContainText('A line of my own.');
  const letter = page.getByRole('article', { name: /^Letter to/ });
  await stetAll(letter);
  await sendButton(letter).click();
  const received = await arrived(request, address, SUBJECT);
  expect(received).toHaveLength(1);
  expect(received[0]!.text).toContain('Robin');
  expect(received[0]!.text).toContain('A line of my own.');
});
