import { expect, test, type Locator, type Page } from '@playwright/test';
import { field, open, pencil, putIn } from './pencilPage';
import { expectAccessible, signIn } from './signedIn';
import { editable } from './writing';

/** Characters, and a visit to write from, of its own for each size. */
const OWN = {
  'desk-later': { typed: 'dkr', from: 'b30' },
  'phone-later': { typed: 'pkr', from: 'b31' },
} as const;
const mine = () => OWN[test.info().project.name as keyof typeof OWN];

/** Puts the caret at the end of a line; an editor that has just been focused puts its own there once more. */
async function caretIn(letter: Locator, line: Locator): Promise<void> {
  await letter.focus();
  await expect
    .poll(() =>
      line.evaluate(async (node) => {
        getSelection()!.collapse(node, node.textContent ? node.childNodes.length : 0);
        await new Promise((resolve) => setTimeout(resolve, 60));
        return node.contains(getSelection()!.anchorNode);
      }),
    )
    .toBe(true);
}

/** Makes a shorthand of one's own that says a fact, a link and a blank. */
async function make(page: Page, typed: string): Promise<void> {
  await page.goto('/templates/shorthand');
  await expect(page.getByRole('link', { name: /;kr/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByText('Say which characters are typed.')).toBeVisible();
  await page.getByLabel('A new shorthand').fill('two words');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByText('The characters are written together, without a space.')).toBeVisible();
  await page.getByLabel('A new shorthand').fill(typed);
  await page.getByRole('button', { name: 'Make it' }).click();
  const sheet = page.getByRole('textbox', { name: 'Shorthand', exact: true });
  await expect(sheet).toBeVisible();
  await sheet.focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Your visit costs ');
  await putIn(page, 'Blank').click();
  await page.getByLabel('What is asked').fill('Agreed sum');
  await page.getByLabel('The answer is').selectOption('money');
  await page.getByRole('button', { name: 'Put it in' }).click();
  await page.keyboard.type(', as agreed');
  await page.getByLabel('Group').selectOption('Visits');
  await page.getByRole('button', { name: 'Keep this shorthand' }).click();
  await expect(page.getByText('Kept. It is typed so')).toBeVisible();
  await expectAccessible(page);
}

test('a shorthand with a blank unfolds by space, Tab and Enter in a letter and its subject, and is undone', async ({
  page,
}) => {
  const { typed, from } = mine();
  await signIn(page);
  await make(page, typed);
  await page.goto(`/write?from=booking:${from}&template=${encodeURIComponent(':blank booking')}`);
  const letter = await editable(page);
  const line = letter.getByRole('paragraph').filter({ hasText: /^Hello/ });
  const said = letter.locator('p', { hasText: 'Your visit costs' });
  const question = letter.getByRole('textbox', { name: 'Agreed sum' });

  // Within a word it is only letters.
  await caretIn(letter, line);
  await page.keyboard.type(` x${typed} `);
  await expect(said).toBeHidden();
  // A space ends it, and stands behind what it says; undo brings the characters back, and they stay.
  await page.keyboard.type(`${typed} `);
  await expect(said).toHaveCount(1);
  await page.keyboard.press('Control+z');
  await expect(said).toBeHidden();
  await expect(line).toContainText(`x${typed} ${typed}`);
  await page.keyboard.type(`so ${typed} `);
  await expect(said).toHaveCount(1);
  await page.keyboard.type('today');
  await expect(said).toContainText(', as agreed today');
  // It waits for its answer, as for its template’s.
  await expect(page.getByRole('status').filter({ hasText: 'Waits for' })).toBeVisible();
  await question.fill('abc');
  await question.press('Enter');
  await expect(letter.getByText('Write a sum, as 65 or 65.00.')).toBeVisible();
  await question.fill('65');
  await question.press('Enter');
  await expect(said).toContainText('Your visit costs £65.00, as agreed today');
  await page.keyboard.press('Control+z');
  await expect(question).toBeVisible();
  await question.fill('70');
  await question.press('Enter');
  await expect(said).toContainText('costs £70.00');

  // Enter ends it, and the line.
  await caretIn(letter, said);
  await page.keyboard.press('Enter');
  await page.keyboard.type(`${typed.toUpperCase()}`);
  await page.keyboard.press('Enter');
  await page.keyboard.type('Below');
  await expect(said).toHaveCount(2);
  await expect(letter.locator('p', { hasText: /^Below$/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(said).toHaveCount(1);
  await expect(letter.locator('p', { hasText: new RegExp(`^${typed.toUpperCase()}$`) })).toBeVisible();

  // Tab ends it, and goes to what it asks.
  await caretIn(letter, letter.locator('p', { hasText: new RegExp(`^${typed.toUpperCase()}$`) }));
  await page.keyboard.press('Tab');
  await expect(said).toHaveCount(2);
  await expect(question).toBeFocused();
  await page.keyboard.type('80');
  await page.keyboard.press('Tab');
  await expect(letter.getByText('costs £80.00')).toBeVisible();

  // The subject has it, too, by each of its keys.
  const subject = letter.locator('.subject');
  for (const key of [' ', 'Tab', 'Enter']) {
    await caretIn(letter, subject);
    await page.keyboard.type(` ${typed}`);
    await page.keyboard.press(key);
    await expect(subject).toContainText('Your visit costs');
    await expect(subject.getByRole('textbox', { name: 'Agreed sum' })).toBeVisible();
    await caretIn(letter, subject);
    await page.keyboard.press('Control+z');
    await expect(subject).not.toContainText('Your visit costs');
    await expect(subject).toContainText(typed);
  }
});

test('all shorthand is listed by one key, found by what it says, and put in', async ({ page }) => {
  const { from } = mine();
  await signIn(page);
  await page.goto(`/write?from=booking:${from}&template=${encodeURIComponent(':blank booking')}`);
  const letter = await editable(page);
  await caretIn(letter, letter.getByRole('paragraph').filter({ hasText: /^Hello/ }));
  await page.keyboard.press('Control+j');
  const list = page.getByRole('dialog', { name: 'Shorthand' });
  await expect(list.getByRole('option', { name: /;warm/ })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.type('lid clear');
  await expect(list.getByRole('option')).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(letter).toContainText('the tuning holds better for it.');
  await page.keyboard.press('Control+z');
  await expect(letter).not.toContainText('the tuning holds better for it.');
  // A press opens it as well; it closes without a trace.
  await page.getByRole('button', { name: 'Shorthand', exact: true }).click();
  await expect(list).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(list).toBeHidden();
  await expect(letter).toBeFocused();
});

test('in a template it unfolds with its fields, and is undone', async ({ page }) => {
  await open(page, 'Typed short', 'booking');
  const sheet = pencil(page);
  await caretIn(sheet, sheet.getByRole('paragraph').first());
  await page.keyboard.type(' ;kr');
  await page.keyboard.press('Tab');
  await expect(sheet).toContainText('Kind regards,');
  await expect(field(page, 'sender, given name')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(sheet).not.toContainText('Kind regards,');
  await expect(sheet).toContainText(';kr');
  await page.keyboard.type(' ;rate ');
  await expect(sheet.locator('[data-tag]', { hasText: 'Hourly rate' })).toBeVisible();
  await page.keyboard.press('Control+j');
  await expect(page.getByRole('dialog', { name: 'Shorthand' })).toBeVisible();
  await page.keyboard.type(';review');
  await page.keyboard.press('Enter');
  await expect(sheet).toContainText('A word about us helps others find us');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('button', { name: /^Shorthand/ }).click();
  await expect(page.getByRole('dialog', { name: 'Shorthand' })).toBeVisible();
  await page.keyboard.press('Escape');
});

test('Tab goes to the next blank', async ({ page }) => {
  const { from } = mine();
  await signIn(page);
  await page.goto(`/write?from=booking:${from}&template=${encodeURIComponent(':blank booking')}`);
  const letter = await editable(page);
  const line = letter.getByRole('paragraph').filter({ hasText: /^Hello/ });
  await caretIn(letter, line);
  await page.keyboard.type(' ;rate ');
  const question = letter.getByRole('textbox', { name: 'Hourly rate' });
  await expect(question).toBeVisible();
  await caretIn(letter, letter.locator('.subject'));
  await page.keyboard.press('Tab');
  await expect(question).toBeFocused();
  await page.keyboard.type('65');
  await page.keyboard.press('Tab');
  await expect(letter).toContainText('our hourly rate is £65.00');
});
