import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { ask } from './database';
import { reach } from './keys';
import { keepVersion, makeTemplate } from './makeTemplate';
import { openToday, signIn } from './signedIn';
import { arrived, editable, expectReady, showAllMarks } from './writing';

test.use({ serviceWorkers: 'allow' });

/** A client of its own for each size, with two invoices that are a few days over. */
const OWN = {
  'desk-later': { key: 'perla-vance', name: 'Perla Vance', first: 'OTG-1', second: 'OTG-2' },
  'phone-later': { key: 'sorcha-dunmore', name: 'Sorcha Dunmore', first: 'OTG-3', second: 'OTG-4' },
} as const;
type Own = (typeof OWN)[keyof typeof OWN];

const emailOf = ({ key }: Own) => `${key}@post.example`;

async function makeClient({ key, name, first, second }: Own) {
  const id = randomUUID();
  const given = name.split(' ')[0];
  await ask(
    `insert into client (business_id, id, key, name, given_name, kind, email, phone)
     select business_id, $1, $2, $3, $4, 'person', $5, '01632 960111' from client where key = 'hartigan'`,
    [id, key, name, given, `${key}@post.example`],
  );
  for (const [number, due, price] of [
    [first, '2026-11-20', 12_000],
    [second, '2026-11-21', 9_000],
  ] as const) {
    const invoice = randomUUID();
    await ask(
      `insert into invoice (business_id, id, key, number, client_id, issued_on, due_on, status)
       select business_id, $1, $2, $3, id, '2026-11-06', $4, 'sent' from client where id = $5`,
      [invoice, number, number, due, id],
    );
    await ask(
      `insert into invoice_line (business_id, invoice_id, position, description, quantity, unit_price)
       select business_id, id, 0, 'tuning visit', 1, $2 from invoice where id = $1`,
      [invoice, price],
    );
  }
}

async function makeReminder(page: Page, name: string) {
  const key = await makeTemplate(page, name, name, 'invoice');
  const words = [
    ...['---', `name: ${name}`, `group: ${name}`, 'starts from: invoice'],
    ...["subject: 'Invoice {{invoice.number}}, {{invoice.balance}}'", '---'],
    'Hello {{recipient.greeting_name}},',
    '',
    '{{invoice.balance}} of it is still to come. Could you pay by {{? By when : date | long date}}?',
    '',
    'Are you still to be reached at {{client.phone}}?',
    '',
    '{{signature}}',
    '',
  ];
  await keepVersion(page, key, 1, words.join('\n'));
}

/** Everything by touch on a phone, and by keys alone at a desk. */
function hands(page: Page, isPhone: boolean) {
  const press = async (target: Locator) => {
    if (isPhone) return target.tap();
    await reach(page, target);
    await page.keyboard.press('Enter');
  };
  return {
    press,
    /** Puts the caret behind the greeting. */
    async behindGreeting() {
      const text = await editable(page);
      if (isPhone) {
        await text.getByRole('paragraph').filter({ hasText: 'Hello' }).tap();
        return page.keyboard.press('End');
      }
      await reach(page, text);
      for (const key of ['Control+Home', 'ArrowDown', 'End']) await page.keyboard.press(key);
    },
    /** Opens the note of a fact: from its words on the page, or beside it. */
    async fact(label: string, words: string) {
      const margin = page.getByRole('complementary', { name: 'Margin' });
      if (isPhone) await (await editable(page)).locator('[data-id]').filter({ hasText: words }).last().tap();
      else await press(margin.getByRole('button', { name: new RegExp(`^${label}`) }).first());
      const note = page.locator('.note-open');
      await expect(note).toBeVisible();
      return note;
    },
  };
}

test('one letter, with all that happens on the way: by touch on a phone, by keys alone at a desk', async ({
  page,
  browser,
  context,
  request,
}, { project }) => {
  test.slow();
  const own = OWN[project.name as 'desk-later'];
  const isPhone = project.name === 'phone-later';
  const { press, behindGreeting, fact } = hands(page, isPhone);
  await signIn(page);
  await makeClient(own);
  const template = `Chase ${project.name}`;
  await makeReminder(page, template);

  // From Today by words.
  await openToday(page);
  await press(page.getByRole('button', { name: 'Go to …' }));
  const palette = page.getByRole('dialog', { name: 'Go to or begin' });
  await expect(palette.getByRole('combobox')).toBeFocused();
  await page.keyboard.type(`write ${own.name} chase ${project.name}`);
  const found = palette.getByRole('option', { name: `Write to ${own.name}: ${template}` });
  await expect(found).toBeVisible();
  if (isPhone) await found.tap();
  else await page.keyboard.press('Enter');
  const text = await editable(page);
  const letter = page.getByRole('article', { name: `Letter to ${own.name}` });
  await expect(letter).toContainText(`Invoice ${own.first}, £120.00`);

  // A blank, and a line by hand.
  const blank = text.getByRole('textbox', { name: 'By when' });
  if (isPhone) await blank.tap();
  else await reach(page, blank);
  await page.keyboard.type('7 Dec');
  await page.keyboard.press('Enter');
  await expect(text).toContainText('by Monday, 7 December 2026?');
  await behindGreeting();
  await page.keyboard.type(' greetings from the van.');

  // Another invoice: the line stays.
  if (isPhone) await fact('balance', '£120.00');
  await press(page.getByRole('button', { name: /^Take another than Invoice/ }));
  await press(page.getByRole('button', { name: new RegExp(own.second) }));
  await expect(letter).toContainText(`Invoice ${own.second}, £90.00`);
  await expect(text).toContainText('greetings from the van.');
  await expect(text).toContainText('by Monday, 7 December 2026?');
  await page.keyboard.press('Escape');

  // A photograph.
  await press(letter.getByRole('button', { name: 'Add a file' }));
  const add = page.getByRole('region', { name: 'Add to the letter' });
  const chooser = page.waitForEvent('filechooser');
  await press(add.getByRole('button', { name: isPhone ? 'Photograph' : 'Choose files', exact: true }));
  const buffer = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#7a5c3e' } })
    .jpeg()
    .toBuffer();
  await (await chooser).setFiles({ name: 'Pedal.jpg', mimeType: 'image/jpeg', buffer });
  await expect(letter.getByRole('link', { name: 'Pedal.jpg' })).toBeVisible();
  await press(add.getByRole('button', { name: 'Done' }));

  // A fact is put right where it is kept.
  const note = await fact('phone', '01632 960111');
  await press(note.getByRole('button', { name: 'Put right for all letters' }));
  await page.keyboard.press('Control+a');
  await page.keyboard.type('01632 960122');
  await page.keyboard.press('Enter');
  await expect(text).toContainText('01632 960122');
  await expect(text).toContainText('greetings from the van.');
  expect(await ask('select phone from client where key = $1', [own.key])).toEqual([
    { phone: '01632 960122' },
  ]);
  await page.keyboard.press('Escape');

  // The photograph is not spoken of: that may stand.
  await showAllMarks(letter);
  const stet = letter.getByRole('button', { name: 'Stet' });
  await press(stet.first());
  await expect(stet).toHaveCount(0);
  await expectReady(letter);

  // A part of the invoice is paid in another browser.
  const other = await browser.newContext();
  await signIn(await other.newPage(), 'runa@larkfield.example', 'larkfield-runa');
  const [invoice] = await ask<{ version: number }>('select version from invoice where key = $1', [
    own.second,
  ]);
  const paid = await other.request.post(`/api/invoices/${own.second}/payments`, {
    data: { version: invoice!.version, amount: 2_000, paid_on: '2026-11-25', method: '', more: false },
    headers: { origin: process.env.BASE_URL! },
  });
  expect(paid.ok(), await paid.text()).toBe(true);
  await other.close();
  const send = letter.getByRole('button', { name: 'Send', exact: true });
  await press(send);
  await expect(letter.getByRole('alert')).toContainText('something changed since you began');
  await press(letter.getByRole('button', { name: 'Bring the letter up to date' }));
  await expect(letter).toContainText(`Invoice ${own.second}, £70.00`);
  await expect(text).toContainText('greetings from the van.');
  await expect(letter.getByRole('link', { name: 'Pedal.jpg' })).toBeVisible();
  await expectReady(letter);

  // For later, taken back, and now after all.
  await press(letter.locator('summary').filter({ hasText: 'Later' }));
  await press(letter.getByRole('button', { name: 'Tomorrow at 08:00' }));
  await expectReady(letter);
  await press(letter.getByRole('button', { name: 'Send tomorrow at 08:00' }));
  await expect(letter).toContainText('It goes tomorrow at 08:00');
  await press(letter.getByRole('button', { name: 'Take it back' }));
  await press(letter.locator('summary').filter({ hasText: 'Another time' }));
  await press(letter.getByRole('button', { name: 'Not later: now' }));
  await expectReady(letter);

  // Without a connection it waits; with one it goes, once.
  await context.setOffline(true);
  await press(send);
  await expect(letter).toContainText('It waits on this device');
  await context.setOffline(false);
  await expect(letter.getByText(/^(?:Going|Sent)/)).toBeVisible();
  const received = await arrived(request, emailOf(own), `Invoice ${own.second}, £70.00`, 'from the van.');
  expect(received).toHaveLength(1);
  expect(received[0]!.text.replace(/\s+/g, ' ')).toContain('£70.00 of it is still to come.');
  expect(received[0]!.text).toContain('01632 960122');
  expect(received[0]!.attachments.map(({ name }) => name)).toEqual(['Pedal.jpg']);
  await page.reload();
  await page.waitForTimeout(2000);
  expect(await arrived(request, emailOf(own), `Invoice ${own.second}, £70.00`)).toHaveLength(1);
});
