import { expect, test } from '@playwright/test';
import { ask } from './database';
import { open, pencil } from './pencilPage';
import { expectAccessible, signIn } from './signedIn';
import { arrived, editable, expectReady, sendButton, stetAll, typeBehind } from './writing';

/** Two clients of its own for each size. */
const OWN = {
  'desk-later': {
    from: 'b88',
    client: 'castellanos',
    address: 'castellanos@post.example',
    other: 'b78',
    otherAddress: 'kowal@post.example',
    says: /Zofia.*Wednesday, 23 December 2026 at 09:30.*It costs £78; ring 01632 960144/s,
  },
  'phone-later': {
    from: 'b84',
    client: 'teague',
    address: 'teague@post.example',
    other: 'b77',
    otherAddress: 'nakagawa@post.example',
    says: /Emi.*Monday, 21 December 2026 at 09:30.*It costs £220; ring 01632 960144/s,
  },
} as const;

test('a letter that was sent becomes a template: with one press, two doubts answered, and goes to another client', async ({
  page,
  request,
}, { project }) => {
  const { from, client, address, other, otherAddress, says } = OWN[project.name as keyof typeof OWN];
  const [visit] = await ask<{ day: string }>(
    `select to_char(starts_at at time zone 'Europe/London', 'FMDay, FMDD FMMonth YYYY') as day from booking where key = $1`,
    [from],
  );
  await signIn(page);
  await page.goto(`/write?from=booking:${from}&template=${encodeURIComponent(':blank booking')}`);
  const letter = await editable(page);
  await letter.locator('.subject').evaluate((node) => getSelection()!.collapse(node, 0));
  await letter.focus();
  const subject = `A word before we come, ${project.name}`;
  await page.keyboard.type(subject);
  // The number is the office’s and the writer’s; a town by itself is not surely the client’s.
  await typeBehind(
    page,
    /^Hello /,
    ` we come on ${visit!.day} at 09:30. It costs £78; ring 01632 960144. Is the piano in ${client === 'teague' ? 'Saltby' : 'Overstrand'} still where it was?`,
  );
  await stetAll(page.locator('#page'));
  await sendButton(page.locator('#page')).click();
  await arrived(request, address, subject);

  await page.goto(`/clients/${client}`);
  await page.getByRole('link', { name: subject }).filter({ visible: true }).first().click();
  await page.getByRole('link', { name: 'Make a template of it' }).click();
  await expect(page.getByRole('heading', { name: 'A template of this letter' })).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'are asked about' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Take the \d+ certain ones$/ }).click();
  await expect(page.locator('.paper .field').filter({ hasText: 'long date' })).toBeVisible();
  const number = page.getByRole('group', { name: 'What “01632 960144” is' });
  await number.getByRole('button', { name: 'Business, phone' }).click();
  await page
    .getByRole('group', { name: /What “(?:Saltby|Overstrand)” is/ })
    .getByRole('button', { name: 'Leave the words' })
    .click();
  await expect(page.getByText('Everything that was found is decided.')).toBeVisible();
  // What was decided can be changed.
  await page.getByRole('button', { name: 'Change what “01632 960144” is' }).click();
  await number.getByRole('button', { name: 'Business, phone' }).click();
  await expectAccessible(page);
  const name = `From a letter, ${project.name}`;
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByRole('button', { name: 'Keep as a template' }).click();
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();

  const key = new URL(page.url()).pathname.split('/').at(-1)!;
  await page.goto(`/write?from=booking:${other}&template=${key}`);
  await expect(await editable(page)).toContainText(says);
  const written = page.getByRole('article', { name: /^Letter to/ });
  await stetAll(written);
  await expectReady(written);
  await sendButton(written).click();
  const [received] = await arrived(request, otherAddress, subject);
  expect(received!.text).toMatch(says);
});

test('a letter that was pasted becomes a template', async ({ page }, { project }) => {
  await signIn(page);
  await page.goto('/templates/new');
  await page.getByRole('link', { name: 'Make one of a letter' }).click();
  await expect(page.getByRole('heading', { name: 'A template of a letter' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Find what is theirs' }).click();
  await expect(page.getByText('Paste the letter first.')).toBeVisible();
  await page.getByLabel('It was about').selectOption('a visit');
  await page.getByPlaceholder('Find a visit').fill('hartigan');
  await expect(page.getByLabel('Record')).toContainText('Oda Hartigan');
  await page.getByLabel('Record').selectOption('b-hartigan');
  const text = 'Subject: Your tuning visit\n\nDear Oda,\n\nTeo comes on Thu 26th at half past nine.\n\nImke';
  await page.getByLabel('The letter').fill(text);
  await page.getByRole('button', { name: 'Find what is theirs' }).click();
  // What no step writes is asked about, with what the field says instead.
  const day = page.getByRole('group', { name: 'What “Thu 26th” is' });
  await expect(day.getByRole('button', { name: /Visit, start: “Thursday, 26 November 2026”/ })).toBeVisible();
  await expectAccessible(page);
  // The text can be gone back to, and is still there.
  await page.getByRole('button', { name: 'The text' }).click();
  await expect(page.getByLabel('The letter')).toHaveValue(text);
  await page.getByRole('button', { name: 'Find what is theirs' }).click();
  await page.getByRole('button', { name: /^Take the \d+ certain ones$/ }).click();
  await day.getByRole('button', { name: /Visit, start/ }).click();
  const name = `Pasted, ${project.name}`;
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Group').selectOption('Visits');
  await page.getByRole('button', { name: 'Keep as a template' }).click();
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
  await page.getByRole('tab', { name: 'Words' }).click();
  await expect(
    page.getByText(
      '{{booking.member.given_name}} comes on {{booking.starts_at | long date}} at half past nine.',
    ),
  ).toBeVisible();
});

test('the letter being written becomes a template, and is written on', async ({ page }, { project }) => {
  await signIn(page);
  await page.goto(
    `/write?from=booking:${project.name.startsWith('desk') ? 'b33' : 'b34'}&template=visit-confirmed`,
  );
  const letter = await editable(page);
  await typeBehind(page, /We look after/, ' with pleasure');
  await page.getByRole('button', { name: 'Make a template of it' }).click();
  await expect(page.getByRole('heading', { name: 'A template of this letter' })).toBeVisible();
  await page.getByRole('button', { name: /^Take the \d+ certain ones$/ }).click();
  await expect(page.locator('.paper .field').first()).toBeVisible();
  await expectAccessible(page);
  const name = `While it is written, ${project.name}`;
  // Back to the letter, and to the template again: both are as they were.
  await page.getByRole('button', { name: 'The letter' }).click();
  await expect(letter).toContainText('with pleasure');
  await page.getByRole('button', { name: 'Make a template of it' }).click();
  await page.getByRole('button', { name: /^Take the \d+ certain ones$/ }).click();
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByRole('button', { name: 'Keep as a template' }).click();
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
  await page.getByRole('tab', { name: 'Words' }).click();
  await expect(page.getByText('{{recipient.greeting_name}}').first()).toBeVisible();
  await expect(page.getByText('with pleasure').last()).toBeVisible();
});

test('without a connection, and without its record, it says so', async ({ page, context }) => {
  await signIn(page);
  const [sent] = await ask<{ id: string }>(
    `select id from message where direction = 'out' and subject = 'Invoice LPC-1048 is still open' limit 1`,
  );
  await page.route('**/api/writing?*', (route) => route.abort());
  await page.goto(`/templates/from-letter?letter=${sent!.id}`);
  await expect(page.getByText('There is no connection.')).toBeVisible();
  await expectAccessible(page);
  await page.unroute('**/api/writing?*');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('button', { name: /^Take the/ })).toBeVisible();
  await page.route('**/api/writing?*', (route) => route.fulfill({ status: 404, json: { error: 'Gone.' } }));
  await page.reload();
  await expect(page.getByText('The record that it was written from is no longer there.')).toBeVisible();
  await context.clearCookies();
  await page.goto('/templates/from-letter?letter=00000000-0000-4000-8000-000000000000');
  await expect(page).toHaveURL(/sign-in/);
});

test('a client’s own facts that are typed into a template are pointed out, and become fields', async ({
  page,
}) => {
  await open(page, 'Told of one', 'booking');
  const sheet = pencil(page);
  await page.getByPlaceholder('Find a visit').fill('hartigan');
  await expect(page.getByLabel('Record')).toContainText('Oda Hartigan');
  await page.getByLabel('Record').selectOption('b-hartigan');
  await sheet.focus();
  await sheet
    .getByRole('paragraph')
    .last()
    .evaluate((node) => getSelection()!.collapse(node, 0));
  await page.keyboard.type('Oda Hartigan awaits us on 26 November 2026, Oda. ');
  const told = page.getByRole('group', { name: 'Typed, and one client’s alone' });
  await told.getByText('would be said to everybody').click();
  await expectAccessible(page);
  await told.getByRole('button', { name: 'Leave “Oda”' }).click();
  await told.getByRole('button', { name: /^Make “Oda Hartigan” the field/ }).click();
  await expect(sheet).not.toContainText('Oda Hartigan awaits');
  await expect(sheet).toContainText('awaits us on 26 November 2026, Oda.');
  await told.getByRole('button', { name: /^Make “26 November 2026” the field/ }).click();
  await expect(sheet).not.toContainText('26 November 2026');
  await expect(told).toBeHidden();
  await sheet.focus();
  await page.keyboard.press('Control+z');
  await expect(sheet).toContainText('26 November 2026');
});
