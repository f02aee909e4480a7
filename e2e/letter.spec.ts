import { expect, test, type Locator, type Page } from '@playwright/test';
import { expectAccessible, openToday, signIn } from './signedIn';
import { arrived, editable, expectReady, openNote, sendButton, stetAll, typeBehind } from './writing';

/**
 * The same path at both sizes, with records of their own: 24 days overdue first, which were reminded of before, or the 9
 * days, which were not.
 */
const PATH = {
  days: '24 days overdue',
  begun: 'LPC-1048',
  sum: '£642.00',
  other: 'LPC-1052',
  otherSum: '£96.00',
  subject: 'Invoice LPC-1048, 24 days over',
  otherSubject: 'Invoice LPC-1052, 9 days over',
  open: 'of it has not reached us yet.',
  otherOpen: 'have not reached us yet.',
  behind: 'Perhaps it went astray',
} as const;

/** Words of its own for each size: what tells its letter from the other's. */
const TYPED = { desk: 'We met on Friday.', phone: 'We met on Monday.' } as const;

test('from Today to an overdue invoice: the reminder that fits, another invoice, sent, found again', async ({
  page,
  request,
}, { project }) => {
  const path = PATH;
  const { days, begun, sum, other, otherSum, open, otherOpen, behind } = path;
  const typed = TYPED[project.name as 'desk'];
  await openToday(page);
  const card = page.getByRole('article', { name: 'Thornholt College' }).filter({ hasText: `${sum} ${days}` });
  await expect(card).toContainText(`${sum} ${open}`);
  await card.getByRole('link').click();

  const letter = page.getByRole('article', { name: 'Letter to Thornholt College' });
  await expect(page).toHaveTitle('Write to Thornholt College · Fair Quill');
  await expect(letter).toContainText('Hale Brandreth, accounts office, accounts@thornholtcollege.example');
  await expect(letter).toContainText(path.subject);
  await typeBehind(page, behind, ` ${typed}`);
  await expect(letter).toContainText(typed);

  const note = await openNote(page, 'still to pay', sum);
  await expect(note).toContainText('the invoice you started from');
  await expectAccessible(page);
  await note.getByRole('button', { name: /^Take another than Invoice/ }).click();
  await note.getByRole('button', { name: new RegExp(other) }).click();
  await expect(letter).toContainText(path.otherSubject);
  await expect(letter).toContainText(`${otherSum} ${otherOpen}`);
  await expect(letter).toContainText(typed);
  // What was last said may be about it.
  await expect(letter.locator('.letter-holder')).not.toContainText(begun);
  const chosen = await openNote(page, 'still to pay', otherSum);
  await expect(chosen).toContainText('chosen for this letter');
  await page.keyboard.press('Escape');

  // The second reminder is early for the other invoice: its writer is asked, and means it.
  await stetAll(letter);
  await expectReady(letter);
  await expect(letter).toContainText('to Hale Brandreth');
  await sendButton(letter).click();
  await expect(letter.getByText('Going.')).toBeVisible();
  await expectAccessible(page);
  const subject = path.otherSubject;
  const [received] = await arrived(request, 'accounts@thornholtcollege.example', subject, typed);
  await expect(letter.getByText('Sent.', { exact: true })).toBeVisible();

  for (const part of [received!.text, received!.html]) {
    expect(part).toContain('Hello Hale,');
    expect(part.replace(/\s+/g, ' ')).toContain(`${otherSum} ${otherOpen}`);
    expect(part).toContain(typed);
    expect(part).not.toContain(begun);
  }
  const header = (name: string) => received!.headers.find((one) => one.name === name)?.value;
  expect(header('from')).toBe('Imke Sandoval <imke@larkfield.example>');
  expect(header('reply-to')).toMatch(/^office\+r[a-z2-7]{26}@larkfield\.example$/);
  expect(header('message-id')).toMatch(/^<[0-9a-f-]{36}@larkfield\.example>$/);
  expect(header('content-type')).toContain('multipart/alternative');

  await letter.getByRole('link', { name: 'Letters of Thornholt College' }).click();
  const sent = page.getByRole('article', { name: subject }).filter({ hasText: typed });
  await expect(sent).toContainText(typed);
  await expectAccessible(page);
  await sent.getByRole('link', { name: subject }).click();
  await expect(page.getByRole('complementary', { name: 'What became of it' })).toContainText('sent');
  await expect(page.frameLocator('iframe').getByText(typed)).toBeVisible();
  await expectAccessible(page);
});

/** For each kind of occasion a card of its own at each size. */
const CARDS = {
  desk: ['Dr. Marta de la Cruz', 'Bram Tolliver'],
  phone: ['The Low Cellar', 'Harriet Fenwick'],
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
    await press(sendButton(letter));
    await expect(letter.getByText('Going.')).toBeVisible();
    expect(presses).toBeLessThanOrEqual(4);
  }
});

test('by keyboard alone, from Today to a sent letter', async ({ page, request }, { project }) => {
  const { name, mail, subject, words } =
    project.name === 'desk'
      ? {
          name: 'Oda Hartigan',
          mail: 'oda@hartigan.example',
          subject: 'Tuning visit tomorrow',
          words: 'Teo comes tomorrow',
        }
      : {
          name: 'Ada and Tom Reyes',
          mail: 'ada.tom@reyes.example',
          subject: 'Invoice LPC-1053 in three parts',
          words: 'The next part, £1,400, is due on Monday',
        };
  await openToday(page, 'teo@larkfield.example', 'larkfield-teo');
  const card = page.getByRole('article', { name });
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
  expect(received!.text.replace(/\s+/g, ' ')).toContain(words);
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
  const note = page.getByRole('complementary', { name: 'Margin' }).getByRole('region', { name: 'By hand' });
  await letter.getByText('Friday week').click();
  await expect(note).toContainText('The records say: Thursday, 3 December 2026');
  await note.getByRole('button', { name: 'Put back' }).click();
  await expect(letter).toContainText('Thursday, 3 December 2026');
  await expect(letter).not.toContainText('Friday week');
});

test('Today shows what is worth writing, each with the letter begun', async ({ page }) => {
  await openToday(page);
  // A reminder of the same invoice is held: it is not offered a second time.
  await expect(page.getByRole('article', { name: 'Joost van der Meulen' })).toHaveCount(0);
  const enquiry = page.getByRole('article', { name: 'Marrow Quay Arts Centre' });
  await expect(enquiry).toContainText('Hello Silvio, thank you for');
  await expect(enquiry).toContainText('1 thing to see to');
  // Put off and taken up again.
  await enquiry.getByRole('button', { name: 'Next week' }).click();
  await expect(enquiry).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(enquiry).toBeVisible();
  await expectAccessible(page);
});
