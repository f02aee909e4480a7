import sharp from 'sharp';
import { expect, test, type Page } from '@playwright/test';
import { reach } from './keys';
import { makeTemplate } from './makeTemplate';
import { choosesFiles, note, own, pencil, putIn } from './pencilPage';
import { expectAccessible, signIn } from './signedIn';
import { textIn, wordsOf, writeIn } from './words';

/** Presses keys one after another, as fast as the page is drawn: nobody is faster. */
async function press(page: Page, ...keys: string[]): Promise<void> {
  for (const key of keys) {
    await page.keyboard.press(key);
    await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => setTimeout(drawn))));
  }
}

/** Chooses among the smart fields. */
async function chooseField(page: Page, wanted: string): Promise<void> {
  const list = page.getByRole('dialog', { name: 'Smart fields' });
  await expect(list.getByRole('combobox')).toBeFocused();
  await page.keyboard.type(wanted);
  await page.keyboard.press('Enter');
  await expect(list).toBeHidden();
  await expect(pencil(page)).toBeFocused();
}

/** What a template says for the record in view. */
async function inInk(page: Page): Promise<string> {
  await page.getByRole('tab', { name: 'Ink' }).click();
  const letter = page.locator('.letter-body.copy').last();
  await expect(letter).toContainText('Hello');
  return (await letter.innerText()).replace(/\s+/g, ' ');
}

test('“visit tomorrow” is written from nothing by keyboard alone, and filled the same as its text form', async ({
  page,
}) => {
  test.slow();
  choosesFiles(page);
  const name = own('Tomorrow by keys');
  const notes = `${own('Visit notes')}.txt`;
  await signIn(page);
  await page.goto('/templates');
  await reach(page, page.getByRole('link', { name: 'New template' }));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name' })).toBeFocused();
  await page.keyboard.type(name);
  await page.keyboard.press('Tab');
  for (let i = 0; i < 5 && !(await page.getByRole('radio', { name: /a visit/ }).isChecked()); i++)
    await page.keyboard.press('ArrowDown');
  await reach(page, page.getByRole('button', { name: 'Make the template' }));
  await page.keyboard.press('Enter');

  // One writes at once, in the place of the gap.
  const written = pencil(page);
  await expect(written).toBeFocused();
  await expect(note(page, 'Gap')).toBeVisible();
  await page.keyboard.type('Your {{');
  await chooseField(page, 'what for');

  // Its form, and what speaks for it.
  await page.keyboard.press('ArrowLeft');
  await expect(note(page, 'Visit, service')).toBeVisible();
  await page.keyboard.press('Enter');
  const form = note(page, 'Visit, service').getByRole('radio', { name: /with article/ });
  for (let i = 0; i < 12 && !(await form.isChecked()); i++) await page.keyboard.press('ArrowDown');
  await reach(page, note(page, 'Visit, service').getByLabel('Where it is missing, say'));
  await page.keyboard.type('a visit');
  await page.keyboard.press('Enter');
  await expect(written).toContainText('service, with article, or “a visit”');
  await expect(written).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.type(' is on ');
  await page.keyboard.press('Control+.');
  await chooseField(page, 'when');
  await page.keyboard.type('.');
  await page.keyboard.press('Enter');

  await page.keyboard.type('It takes ');
  await reach(page, putIn(page, 'Blank'));
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('What is asked')).toBeFocused();
  await page.keyboard.type('How long');
  await page.keyboard.press('Enter');
  await expect(written).toBeFocused();
  await page.keyboard.type('.');

  await reach(page, putIn(page, 'Only when'));
  await page.keyboard.press('Enter');
  await chooseField(page, 'price');
  await expect(note(page, 'Only when')).toBeVisible();
  await page.keyboard.press('Enter');
  await reach(page, note(page, 'Only when').getByLabel('Compared with'));
  await page.keyboard.press('Control+a');
  await page.keyboard.type('dear');
  await page.keyboard.press('Enter');
  // What is wrong keeps one there.
  await expect(note(page, 'Only when').getByRole('alert')).toHaveText('Write a number, as 14 or 2.5.');
  await expect(note(page, 'Only when').getByLabel('Compared with')).toBeFocused();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('100');
  await page.keyboard.press('Enter');
  await expect(written).toContainText('Only when price is over £100');
  await expect(written).toBeFocused();
  await page.keyboard.press('Enter');
  await reach(page, note(page, 'Only when').getByRole('button', { name: 'Say something otherwise' }));
  await page.keyboard.press('Enter');
  await expect(written).toBeFocused();
  await page.keyboard.type('It is a small thing.');

  await reach(page, putIn(page, 'Listing'));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Put in a listing' }).getByLabel('Which')).toBeFocused();
  await page.keyboard.type('Client: unp');
  await reach(page, page.getByRole('button', { name: 'Put it in' }));
  await page.keyboard.press('Enter');
  await expect(written).toContainText('For each of client, unpaid invoices');
  await expect(written).toBeFocused();

  // Above the signature, at the end.
  await press(page, 'Control+End', 'Home', 'Enter', 'ArrowUp');
  await reach(page, putIn(page, 'Passage'));
  await page.keyboard.press('Enter');
  await reach(page, page.getByRole('dialog').getByRole('button', { name: 'How to pay' }));
  await page.keyboard.press('Enter');
  await expect(written).toContainText('How to pay · passage');
  await expect(written).toBeFocused();

  const content = await sharp({ create: { width: 600, height: 400, channels: 3, background: '#2b6b5e' } })
    .png()
    .toBuffer();
  await press(page, 'Control+End', 'Enter');
  await reach(page, putIn(page, 'Picture'));
  const pictures = page.waitForEvent('filechooser');
  await page.keyboard.press('Enter');
  await (await pictures).setFiles({ name: 'workshop.png', mimeType: 'image/png', buffer: content });
  await expect(note(page, 'Picture')).toBeVisible();
  await reach(page, written, 'Shift+Tab');
  await page.keyboard.press('Enter');
  await expect(note(page, 'Picture').getByLabel('What it shows')).toBeFocused();
  await page.keyboard.type('The workshop');
  await page.keyboard.press('Enter');
  await expect(written).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(note(page, 'Picture')).toBeHidden();

  await reach(page, page.locator('.template-head summary'), 'Shift+Tab');
  await page.keyboard.press('Enter');
  await reach(page, page.getByRole('button', { name: 'Bring in a file' }));
  const files = page.waitForEvent('filechooser');
  await page.keyboard.press('Enter');
  await (
    await files
  ).setFiles({ name: notes, mimeType: 'text/plain', buffer: Buffer.from('Bring the key.') });
  await expect(page.getByRole('link', { name: notes })).toBeVisible();
  await expectAccessible(page);
  await reach(page, written);
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('Kept as version 2.')).toBeVisible();

  const inPencil = await inInk(page);
  await page.getByRole('tab', { name: 'Words' }).click();
  const kept = await textIn(wordsOf(page));
  const picture = /\(([0-9a-f]{64})\)/.exec(kept)![1]!;
  const text = textForm(name, notes, picture);
  expect(kept).toBe(text);

  // The same, written as text.
  const key = await makeTemplate(page, own('Tomorrow as text'), own('Pencil'), 'booking');
  await page.goto(`/templates/${key}`);
  await page.getByRole('tab', { name: 'Words' }).click();
  await writeIn(wordsOf(page), text.replaceAll(name, own('Tomorrow as text')));
  await expect.poll(() => inInk(page)).toBe(inPencil.replaceAll(name, own('Tomorrow as text')));
});

const textForm = (name: string, notes: string, picture: string) => `---
name: ${name}
group: none
starts from: booking
subject: ${name}
attach: [${notes}]
---
Hello {{recipient.greeting_name}},

Your {{booking.service | with article | or "a visit"}} is on {{booking.starts_at}}.

{{#when booking.price over 100}}
It takes {{? How long : text}}.
{{otherwise}}
It is a small thing.

| Number | Due date | Balance |
|---|---|--:|
{{#client.unpaid_invoices}}
| {{number}} | {{due_on}} | {{balance}} |
{{/client.unpaid_invoices}}
{{/when}}

{{> How to pay}}

{{signature}}

![The workshop](${picture}){width=480}
`;
