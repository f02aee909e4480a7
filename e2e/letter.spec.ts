import { expect, test, type Locator, type Page } from '@playwright/test';
import { expectAccessible, signIn, TODAY } from './signedIn';
import { arrived, editable, openNote, typeBehind } from './writing';

/**
 * The same path at both sizes, with records of their own: 24 days overdue first, which were reminded of before, or the 9
 * days, which were not.
 */
const PATHS = {
  desk: {
    days: '24 days overdue',
    begun: 'LPC-1048',
    sum: '£642.00',
    other: 'LPC-1052',
    otherSum: '£96.00',
    subject: 'Invoice LPC-1048, 24 days over',
    otherSubject: 'Invoice LPC-1052, 9 days over',
    open: 'of it has not reached us yet.',
    behind: 'Perhaps it went astray',
  },
  phone: {
    days: '9 days overdue',
    begun: 'LPC-1052',
    sum: '£96.00',
    other: 'LPC-1048',
    otherSum: '£642.00',
    subject: 'Invoice LPC-1052 is still open',
    otherSubject: 'Invoice LPC-1048 is still open',
    open: 'is still to come.',
    behind: 'please forget',
  },
} as const;

test('from Today to an overdue invoice: the reminder that fits, another invoice, sent, found again', async ({
  page,
  request,
}, { project }) => {
  const path = PATHS[project.name as 'desk'];
  const { days, begun, sum, other, otherSum, open, behind } = path;
  await signIn(page);
  const card = page.getByRole('article', { name: 'Thornholt College' }).filter({ hasText: `${sum} ${days}` });
  await expect(card).toContainText(`${sum} ${open}`);
  await card.getByRole('link').click();

  const letter = page.getByRole('article', { name: 'Letter to Thornholt College' });
  await expect(page).toHaveTitle('Write to Thornholt College · Fair Quill');
  await expect(letter).toContainText('Hale Brandreth, accounts office, accounts@thornholtcollege.example');
  await expect(letter).toContainText(path.subject);
  await typeBehind(page, behind, ' We met on Friday.');
  await expect(letter).toContainText('We met on Friday.');

  const note = await openNote(page, 'balance', sum);
  await expect(note).toContainText('the invoice you started from');
  await expectAccessible(page);
  await note.getByRole('button', { name: 'Take another invoice' }).click();
  await note.getByRole('button', { name: new RegExp(other) }).click();
  await expect(letter).toContainText(path.otherSubject);
  await expect(letter).toContainText(`${otherSum} ${open}`);
  await expect(letter).toContainText('We met on Friday.');
  await expect(letter).not.toContainText(begun);
  await expect(note).toContainText('chosen for this letter');
  await page.keyboard.press('Escape');

  await letter.getByRole('button', { name: 'Send to Hale' }).click();
  await expect(letter.getByText('Going.')).toBeVisible();
  await expectAccessible(page);
  const subject = path.otherSubject;
  const [received] = await arrived(request, 'accounts@thornholtcollege.example', subject);
  await expect(letter.getByText('Sent.', { exact: true })).toBeVisible();

  for (const part of [received!.text, received!.html]) {
    expect(part).toContain('Hello Hale,');
    expect(part.replace(/\s+/g, ' ')).toContain(`${otherSum} ${open}`);
    expect(part).toContain('We met on Friday.');
    expect(part).not.toContain(begun);
  }
  const header = (name: string) => received!.headers.find((one) => one.name === name)?.value;
  expect(header('from')).toBe('Imke Sandoval <imke@larkfield.example>');
  expect(header('reply-to')).toBe('office@larkfield.example');
  expect(header('message-id')).toMatch(/^<[0-9a-f-]{36}@larkfield\.example>$/);
  expect(header('content-type')).toContain('multipart/alternative');

  await letter.getByRole('link', { name: 'Letters of Thornholt College' }).click();
  const sent = page.getByRole('article', { name: subject }).first();
  await expect(sent).toContainText('We met on Friday.');
  await expectAccessible(page);
  await sent.getByRole('link', { name: subject }).click();
  await expect(page.getByRole('complementary', { name: 'What became of it' })).toContainText('sent');
  await expect(page.frameLocator('iframe').getByText('We met on Friday.')).toBeVisible();
  await expectAccessible(page);
});

/** For each kind of occasion a card of its own at each size. */
const CARDS = {
  desk: ['Dr. Marta de la Cruz', 'Fairhaven Retirement Home', 'Bram Tolliver'],
  phone: ['The Low Cellar', 'Marrow Quay Arts Centre', 'Bram Tolliver'],
} as const;

test('at most four presses lead from the opened application to a sent letter', async ({ page }, {
  project,
}) => {
  await signIn(page);
  for (const name of CARDS[project.name as 'desk']) {
    await page.goto('/today');
    let presses = 0;
    const press = async (target: Locator) => {
      await target.click();
      presses++;
    };
    await press(page.getByRole('article', { name }).first().getByRole('link'));
    const letter = page.getByRole('article', { name: /^Letter to/ });
    await editable(page);
    // What only its writer knows is typed; one answer leads on to the next question.
    const questions = letter.getByRole('textbox', { name: / day$/i });
    const count = await questions.count();
    if (count) await press(questions.first());
    for (let i = 0; i < count; i++) {
      await expect(questions.first()).toBeFocused();
      await questions.first().fill('2026-12-10');
      await page.keyboard.press('Enter');
      await expect(questions).toHaveCount(count - 1 - i);
    }
    await press(letter.getByRole('button', { name: /^Send to/ }));
    await expect(letter.getByText('Going.')).toBeVisible();
    expect(presses).toBeLessThanOrEqual(4);
  }
});

test('by keyboard alone, from Today to a sent letter', async ({ page, request }, { project }) => {
  const { name, mail, subject, comes } =
    project.name === 'desk'
      ? { name: 'Mags Quist', mail: 'mags@quist.example', subject: 'Humidity check in 2 days', comes: 'Teo' }
      : {
          name: 'Caoimhe Ó Briain',
          mail: 'caoimhe@obriain.example',
          subject: 'Voicing in 2 days',
          comes: 'Imke',
        };
  await signIn(page, 'teo@larkfield.example', 'larkfield-teo');
  const card = page.getByRole('article', { name }).filter({ hasText: 'Visit in 2 days' });
  await tabTo(page, card.getByRole('link'));
  await page.keyboard.press('Enter');
  await editable(page);
  const letter = page.getByRole('article', { name: `Letter to ${name}` });
  await expect(letter).toContainText(subject);
  await tabTo(page, page.getByRole('textbox', { name: 'Letter' }));
  await page.keyboard.press('Control+End');
  await page.keyboard.type(' Until then!');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+Enter');
  await expect(letter.getByText('Going.')).toBeVisible();
  const [received] = await arrived(request, mail, subject);
  expect(received!.text).toContain(`${comes} comes in 2 days`);
  expect(received!.text).not.toContain('Until then');
});

async function tabTo(page: Page, target: Locator) {
  for (let presses = 0; presses < 80; presses++) {
    if (await target.evaluate((node) => node === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  await expect(target).toBeFocused();
}

test('a value changed by hand is kept, and can be put back', async ({ page }) => {
  await signIn(page);
  await page.goto('/write?from=invoice:LPC-1058&template=invoice-enclosed');
  const letter = await editable(page);
  await letter.getByText('3 December 2026').dblclick();
  await page.keyboard.type('Friday week');
  const note = page.getByRole('complementary', { name: 'Margin' }).getByRole('region', { name: 'due date' });
  await letter.getByText('Friday week').click();
  await expect(note).toContainText('The records say: Thursday, 3 December 2026');
  await note.getByRole('button', { name: 'Put back' }).click();
  await expect(letter).toContainText('Thursday, 3 December 2026');
  await expect(letter).not.toContainText('Friday week');
});

test('Today shows what is worth writing, each with the letter begun', async ({ page }) => {
  await signIn(page);
  await expect(page.getByRole('heading', { name: TODAY })).toBeVisible();
  const first = page
    .getByRole('article', { name: 'Oda Hartigan' })
    .filter({ hasText: 'Visit tomorrow at 09:30' });
  await expect(first).toContainText('Hello Oda, Teo comes tomorrow, Thursday, at 09:30.');
  const enquiry = page.getByRole('article', { name: 'Bram Tolliver' });
  await expect(enquiry).toContainText('Hello Bram, thank you for');
  await expect(enquiry).toContainText('missing');
  await expectAccessible(page);
});
