import { expect, test, type Page } from '@playwright/test';
import { field, findField, note, open, own, pencil, putIn, textOf } from './pencilPage';
import { expectAccessible, signIn } from './signedIn';
import { textIn, wordsOf, writeIn } from './words';
test('“visit tomorrow” is written with the mouse: fields, form, fallback, only-when, listing, blank, passage', async ({
  page,
}) => {
  const written = await open(page, 'Tomorrow', 'booking');
  await written.getByText('what you want to say').click();
  await expect(note(page, 'Gap')).toContainText('No letter goes while this stands in it.');
  await note(page, 'Gap').getByRole('button', { name: 'A field here' }).click();
  await findField(page, 'what for', 'Visit, service');

  // Its form among ready examples, and what speaks for it.
  await field(page, 'service').click();
  await expect(note(page, 'Visit, service')).toContainText('What the visit is for.');
  await note(page, 'Visit, service').getByText('with article', { exact: true }).click();
  await note(page, 'Visit, service').getByLabel('Where it is missing, say').fill('a visit');
  await note(page, 'Visit, service').getByLabel('Where it is missing, say').press('Enter');
  await expect(field(page, 'service, with article, or “a visit”')).toBeVisible();
  await expectAccessible(page);
  await close(page);

  await field(page, 'service, with article, or “a visit”').click();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.type(' is due on ');
  await putIn(page, 'Smart field').click();
  await findField(page, 'when', 'Visit, start');
  await page.keyboard.type('.');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Please have the key ready.');
  await putIn(page, 'Only when').click();
  await findField(page, 'price', 'Visit, price');
  await expect(note(page, 'Only when')).toBeVisible();
  await note(page, 'Only when').getByLabel('Compared with').fill('100');
  await note(page, 'Only when').getByLabel('Compared with').press('Enter');
  await expect(written).toContainText('Only when price is over £100');
  await note(page, 'Only when').getByRole('button', { name: 'Say something otherwise' }).click();
  await page.keyboard.type('It is a small thing.');
  await expect(written).toContainText('Otherwise');

  await written.getByText('It is a small thing.').click();
  await putIn(page, 'Listing').click();
  const asked = page.getByRole('dialog', { name: 'Put in a listing' });
  await asked.getByLabel('Which').selectOption({ label: 'Client: unpaid invoices' });
  await expectAccessible(page);
  await asked.getByRole('button', { name: 'Put it in' }).click();
  await expect(written).toContainText('For each of client, unpaid invoices');

  await written.getByText('Please have the key ready.').click();
  await page.keyboard.press('End');
  await page.keyboard.type(' It takes ');
  await putIn(page, 'Blank').click();
  const blank = page.getByRole('dialog', { name: 'Put in a blank' });
  await blank.getByRole('button', { name: 'Put it in' }).click();
  await expect(blank).toContainText('Write what is asked.');
  await blank.getByLabel('What is asked').fill('How long');
  await blank.getByRole('button', { name: 'Put it in' }).click();
  await page.keyboard.type('.');
  await putIn(page, 'Passage').click();
  await page
    .getByRole('dialog', { name: 'Put in a passage' })
    .getByRole('button', { name: 'How to pay' })
    .click();
  await expect(written).toContainText('How to pay · passage');

  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByText('Kept as version 2.')).toBeVisible();
  const text = await textOf(page);
  expect(text.slice(text.indexOf('\n---\n') + 5)).toBe(`Hello {{recipient.greeting_name}},

{{booking.service | with article | or "a visit"}} is due on {{booking.starts_at}}.

{{#when booking.price over 100}}
Please have the key ready. It takes {{? How long : text}}.

{{> How to pay}}
{{otherwise}}
It is a small thing.

| Number | Due date | Balance |
|---|---|--:|
{{#client.unpaid_invoices}}
| {{number}} | {{due_on}} | {{balance}} |
{{/client.unpaid_invoices}}
{{/when}}

{{signature}}
`);
});

test('by keyboard alone: a field by {{, changed in all its places, undone; letters keep the version before', async ({
  page,
}) => {
  const written = await open(page, 'Keys alone', 'invoice');
  await written.press('Control+End');
  await written.press('ArrowUp');
  await page.keyboard.press('Home');
  await page.keyboard.press('Shift+End');
  await page.keyboard.type('You owe {{');
  const list = page.getByRole('dialog', { name: 'Smart fields' });
  await expect(list.getByRole('combobox')).toBeFocused();
  await expectAccessible(page);
  await page.keyboard.type('owes');
  await expect(list.getByRole('option').first()).toContainText('Invoice, balance');
  await page.keyboard.press('Enter');
  await expect(field(page, 'balance')).toHaveCount(1);
  await page.keyboard.type(', I said ');
  await page.keyboard.press('Control+.');
  await page.keyboard.type('balance');
  await page.keyboard.press('Enter');
  await expect(field(page, 'balance')).toHaveCount(2);
  await expect(page.getByRole('status').filter({ hasText: 'Letters still use version 1.' })).toBeVisible();

  // Chosen by the arrows, its note is reached and used without a mouse.
  await page.keyboard.press('Shift+ArrowLeft');
  await field(page, 'balance').first().click();
  await note(page, 'Invoice, balance').getByLabel('in all 2 places').focus();
  await page.keyboard.press('Space');
  await note(page, 'Invoice, balance').getByRole('button', { name: 'Another field' }).press('Enter');
  await page.keyboard.type('total');
  await page.keyboard.press('Enter');
  await expect(field(page, 'total')).toHaveCount(2);
  await page.keyboard.press('Control+z');
  await expect(field(page, 'balance')).toHaveCount(2);
  await page.keyboard.press('Control+y');
  await expect(field(page, 'total')).toHaveCount(2);

  // What is typed while a field is chosen does not take its place.
  await field(page, 'total').last().click();
  await page.keyboard.type(' of it');
  await expect(field(page, 'total')).toHaveCount(2);
  await expect(written).toContainText('total of it');

  // A key turns the page, and it is kept by one.
  await page.keyboard.press('Control+Shift+Enter');
  await expect(page.getByRole('tab', { name: 'Ink' })).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByRole('tabpanel', { name: 'Ink' })).toContainText('You owe £');
  await page.getByRole('tab', { name: 'Pencil' }).click();
  await pencil(page).press('Control+Enter');
  await expect(page.getByText('Kept as version 2.')).toBeVisible();
  // Nothing is typed anew by it: the page is as it was.
  await expect(field(page, 'total')).toHaveCount(2);
});

test('a draft outlives the page, and a template’s head is changed by plain choices', async ({ page }) => {
  const written = await open(page, 'Head', 'invoice');
  await written.getByText('what you want to say').click();
  await page.keyboard.type('Words that are kept. ');
  await expect(page.getByRole('status').filter({ hasText: 'A draft' })).toBeVisible();
  await page.reload();
  await expect(pencil(page)).toContainText('Words that are kept.');

  await page.getByText('From an invoice, to the client, by whoever writes it.').click();
  const head = page.locator('.template-head');
  await head.getByLabel('Comes from').selectOption('the business');
  await head.getByRole('button', { name: 'Copy to: a field', exact: true }).click();
  await findField(page, 'colleague mail', 'Sender, email');
  await head.getByRole('button', { name: 'Only when something is so' }).click();
  await findField(page, 'overdue', 'Invoice, is overdue');
  await head.getByLabel('How it is compared').selectOption('is not so');
  await expect(head).toContainText('with a copy, by the business. Offered only when is not overdue.');
  // A group is made while choosing one.
  const group = head.getByRole('combobox', { name: 'Group', exact: true });
  await group.selectOption('A new group …');
  await head.getByRole('textbox', { name: 'A new group' }).fill(own('Pencil').toUpperCase());
  await expectAccessible(page);
  await head.getByRole('textbox', { name: 'A new group' }).press('Enter');
  await expect(head.getByText('There is another group called')).toBeVisible();
  await head.getByRole('textbox', { name: 'A new group' }).fill(own('Heads of letters'));
  await head.getByRole('textbox', { name: 'A new group' }).press('Enter');
  await expect(group).toHaveValue(own('Heads of letters'));
  await expect(group).toBeFocused();
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByText('Kept as version 2.')).toBeVisible();
  const text = await textOf(page);
  expect(text).toContain(`group: ${own('Heads of letters')}\n`);
  expect(text).toContain("from: house\ncopy: '{{sender.email}}'\nfits when: invoice.is_overdue is no\n");
  expect(text).toContain('Words that are kept.');
});

/** A note that is open over the page on a phone is closed. */
async function close(page: Page): Promise<void> {
  const button = page.locator('.note-open .close-note');
  if (await button.isVisible()) await button.click();
}

test('a passage is made and written, and changed in the template that has it', async ({ page }) => {
  const written = await open(page, 'Has a passage', 'client');
  await page.goto('/templates/passages');
  await page.getByRole('textbox', { name: 'A new passage' }).fill(own('Where to park'));
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make it' }).click();
  const passage = page.getByRole('textbox', { name: 'Passage' });
  await passage.getByText('what it says').click();
  await page.keyboard.type('Park behind the house, ');
  await putIn(page, 'Smart field').click();
  await findField(page, 'greeting', 'Recipient, greeting name');
  await page.keyboard.type('.');
  await expect(page.getByRole('status').filter({ hasText: 'A draft' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep this passage' }).click();
  await expect(page.getByText('Kept. It stands in no template yet.')).toBeVisible();

  await page.goto(`/templates/${own('has a passage').replaceAll(' ', '-')}`);
  await written.getByText('what you want to say').click();
  await page.keyboard.press('ArrowRight');
  await putIn(page, 'Passage').click();
  await page
    .getByRole('dialog', { name: 'Put in a passage' })
    .getByRole('button', { name: own('Where to park') })
    .click();
  await expect(written).toContainText('Park behind the house');
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByText('Kept as version 2.')).toBeVisible();
  await written.locator('.passage').click();
  await note(page, own('Where to park')).getByRole('link', { name: 'Change its words' }).click();
  await expect(
    page.getByText('It stands in').getByRole('link', { name: own('Has a passage') }),
  ).toBeVisible();
  const park = page.getByRole('textbox', { name: 'Passage' }).locator('p').first();
  await park.click({ position: { x: 30, y: 12 } });
  await page.keyboard.press('Home');
  await page.keyboard.type('Please: ');
  await page.getByRole('button', { name: 'Keep this passage' }).click();
  await expect(page.getByText('Kept. It is changed in one template.')).toBeVisible();
  await page
    .getByText('It stands in')
    .getByRole('link', { name: own('Has a passage') })
    .click();
  await expect(written).toContainText('Please: Park behind the house');
});

test('looks are given to selected words and their paragraphs', async ({ page }) => {
  const written = await open(page, 'Looks', 'client');
  await written.getByText('what you want to say').click();
  await page.keyboard.type('A plain line');
  await page.keyboard.press('Shift+Home');
  const bar = page.getByRole('region', { name: 'Looks' });
  await expectAccessible(page);
  for (const look of ['Bold', 'Ink: madder', 'Middle'])
    await bar.getByRole('button', { name: look, exact: true }).click();
  await expect(bar.getByRole('button', { name: 'Bold' })).toHaveAttribute('aria-pressed', 'true');
  await bar.getByRole('button', { name: 'Link' }).click();
  await bar.getByRole('textbox', { name: 'Where it leads' }).fill('java script:x');
  await bar.getByRole('button', { name: 'Set' }).click();
  await expect(bar).toContainText('Write an address of the web or of mail.');
  await bar.getByRole('textbox', { name: 'Where it leads' }).fill('www.larkfield.example');
  await bar.getByRole('button', { name: 'Set' }).click();
  await page.keyboard.press('Control+u');
  await page.keyboard.press('End');
  await expect(bar).toBeHidden();
  await page.keyboard.press('Enter');
  await page.keyboard.type('Second');
  await page.keyboard.press('Shift+Home');
  await bar.getByRole('button', { name: 'Bullets' }).click();
  await page.keyboard.press('End');
  const text = await textOf(page);
  expect(text).toContain('::: {.center}');
  expect(text).toContain('[[**A plain line**]{.underline .madder}](https://www.larkfield.example)');
  expect(text).toContain('- [**Second**]{.underline .madder}');
});

test('a draft is written on at another device, and words with mistakes are not written over', async ({
  page,
  browser,
}, { project }) => {
  const written = await open(page, 'Two devices', 'client');
  await written.getByText('what you want to say').click();
  await page.keyboard.type('Begun at the desk.');
  await expect(page.getByRole('status').filter({ hasText: 'A draft, kept for you.' })).toBeVisible();
  const other = await browser.newContext({ ...project.use } as object);
  const second = await other.newPage();
  await signIn(second);
  await second.goto(page.url());
  await expect(pencil(second)).toContainText('Begun at the desk.');
  await other.close();

  await page.getByRole('tab', { name: 'Words' }).click();
  const words = wordsOf(page);
  await writeIn(words, (await textIn(words)).replace('Begun', 'Begun {{nobody.name}}'));
  await expect(page.getByRole('list', { name: 'What is wrong' })).toBeVisible();
  await page.getByRole('tab', { name: 'Pencil' }).click();
  await expect(page.getByText('The words have mistakes')).toBeVisible();
  await expect(pencil(page)).toBeHidden();
  await page.getByRole('list', { name: 'What is wrong' }).getByRole('button').first().click();
  await writeIn(words, (await textIn(words)).replace('Begun {{nobody.name}}', 'Mended'));
  await page.getByRole('tab', { name: 'Pencil' }).click();
  await expect(pencil(page)).toContainText('Mended at the desk.');
  await page.getByRole('button', { name: 'Undo my changes' }).click();
  await expect(pencil(page)).toContainText('what you want to say');
});

test('a server that is gone while a template is written takes nothing with it', async ({ page }) => {
  const written = await open(page, 'No server', 'invoice');
  await page.route('**/api/templates/**', (route) => route.abort());
  await written.getByText('what you want to say').click();
  await page.keyboard.type('Written without it.');
  await expect(page.getByRole('status').filter({ hasText: 'A draft, kept on this device.' })).toBeVisible();
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'There is no connection' })).toBeVisible();
  await page.unroute('**/api/templates/**');
  // Nothing more needs to be typed for the server to get it.
  await expect(page.getByRole('status').filter({ hasText: 'A draft, kept for you.' })).toBeVisible();
  await page.reload();
  await expect(pencil(page)).toContainText('Written without it.');
  await page.locator('.template-head summary').click();
  await page.getByLabel('the invoice as PDF').check();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByText('Kept as version 2.')).toBeVisible();
  expect(await textOf(page)).toContain('attach: [invoice pdf]');
});

test('the acts of the work are listed with their own messages, and those that have none', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/templates/acts');
  await expect(page.getByRole('region', { name: 'Invoice overdue' })).toContainText(
    'First reminderoffered first',
  );
  await expect(page.getByRole('region', { name: 'Visit cancelled' })).toContainText(
    'Nothing is written for it yet.',
  );
  await expectAccessible(page);
});
