import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { arrived, editable, expectReady, sendButton, showAllMarks, stetAll } from './writing';

/** Clients of its own for each size. */
const CLIENTS = {
  desk: ['lowcellar', 'dez@lowcellar.example'],
  phone: ['tidelineroom', 'anouk@tideline.example'],
} as const;

/** What the template says, whether something is open or not. */
const SAYS = /nothing is open on your account|what is still open today/;

test('a template is put into a letter that was begun without one, and is sent with it', async ({
  page,
  request,
}, { project }) => {
  const [client, address] = CLIENTS[project.name as 'desk'];
  const isPhone = project.name === 'phone';
  await signIn(page);
  await page.goto(`/write?from=client:${client}&template=${encodeURIComponent(':blank client')}`);
  const text = await editable(page);
  const letter = page.getByRole('article', { name: /^Letter to/ });
  const list = page.getByRole('region', { name: /^Write to/ });

  // A line of one's own, then the words of a template behind it.
  await text.getByText('Hello').click();
  await page.keyboard.press('End');
  await page.keyboard.press('Enter');
  await page.keyboard.type('It was good to see you.');
  if (isPhone) await letter.getByRole('button', { name: 'Another template' }).click();
  await list.getByRole('button', { name: 'Put another one in' }).click();
  await expect(list.getByText('its words go in where the caret is')).toBeVisible();
  await expectAccessible(page);
  await list.getByRole('searchbox', { name: 'Find a template' }).fill('account');
  await list.getByRole('button', { name: /^Statement of account/ }).click();

  await expect(text).toContainText('It was good to see you.');
  await expect(text).toContainText(SAYS);
  // It greets once, is signed once, and has the subject of what was put in.
  expect((await text.innerText()).match(/Hello/g)).toHaveLength(1);
  await expect(text).toContainText('Where your account stands');
  const words = await text.innerText();
  expect(words.indexOf('good to see you')).toBeLessThan(words.search(SAYS));

  // It can be undone, and done again.
  await text.press('Control+z');
  await expect(text).not.toContainText(SAYS);
  await expect(text).toContainText('It was good to see you.');
  await text.press('Control+Shift+z');
  await expect(text).toContainText(SAYS);

  // It cannot be put in twice.
  if (isPhone) await letter.getByRole('button', { name: 'Another template' }).click();
  await list.getByRole('button', { name: 'Put another one in' }).click();
  await expect(list.getByRole('button', { name: /^Statement of account/ })).toHaveCount(0);
  await list.getByRole('button', { name: 'Put nothing in' }).click();
  if (isPhone) {
    await list.getByRole('searchbox', { name: 'Find a template' }).fill('');
    await list.getByRole('button', { name: /^A blank letter/ }).click();
  }

  await showAllMarks(letter);
  await stetAll(letter);
  await expectReady(letter);
  await sendButton(letter).click();
  await expect(letter.getByText(/Going\.|Sent\./)).toBeVisible();
  const [received] = await arrived(request, address, 'Where your account stands on 25 November 2026');
  expect(received!.text).toContain('It was good to see you.');
});
