import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { editable, expectReady, expectWaiting, sendButton, showAllMarks, typeBehind } from './writing';

const proof = (page: Page) => page.getByRole('list', { name: 'Proof' });
const mark = (page: Page, words: string) => proof(page).getByRole('listitem').filter({ hasText: words });

/** Letters of nobody else's tests; none of them goes. */
test('the proof looks while it is typed: each mark leads to its place, and is cured or let stand in one press', async ({
  page,
}) => {
  test.slow();
  await signIn(page);
  await page.goto('/write?from=booking:b58&template=visit-coming-up');
  await editable(page);
  await expectReady(page.locator('#page'));

  // The visit is on Friday, 27 November.
  await typeBehind(
    page,
    'Hello',
    ' We come on Thursday, 27 November, as with Oda Hartigan, and and the price list is attached.',
  );
  await expectWaiting(page.locator('#page'), '4 queries');
  await expectAccessible(page);
  await showAllMarks(page.locator('#page'));

  await expect(mark(page, 'is a Friday')).toContainText(
    '“Thursday, 27 November”: 27 November 2026 is a Friday.',
  );
  await mark(page, 'is a Friday').getByRole('button', { name: 'Go there' }).click();
  expect(await page.evaluate(() => getSelection()!.toString())).toBe('Thursday');
  await mark(page, 'is a Friday').getByRole('button', { name: 'Write “Friday”' }).click();
  await expect(await editable(page)).toContainText('We come on Friday, 27 November, as with');

  await expect(mark(page, 'Oda Hartigan')).toContainText('is the name of Oda Hartigan, another client.');
  await mark(page, 'Oda Hartigan').getByRole('button', { name: 'Stet' }).click();
  await mark(page, 'and and').getByRole('button', { name: 'Once' }).press('Enter');
  await expect(await editable(page)).toContainText('Hartigan, and the price list');
  await expect(mark(page, 'nothing goes along')).toContainText(
    '“attached”: nothing goes along with this letter.',
  );

  // A cure is undone like anything else.
  await (await editable(page)).press('Control+z');
  await expect(await editable(page)).toContainText('Hartigan, and and the price list');
  await (await editable(page)).press('Control+y');
  await expectWaiting(page.locator('#page'), '1 query');

  // It is asked again of other words, and a letter that waits does not go.
  await typeBehind(page, 'Hello', ' Ask [name].');
  await expect(mark(page, '[name]')).toContainText('reads like a place that was to be filled');
  await sendButton(page.locator('#page')).click();
  await expect(proof(page).getByRole('button').first()).toBeFocused();
  await page.waitForTimeout(800);
  await page.reload();
  await expectWaiting(page.locator('#page'), '2 queries');
});

test('an invoice that a letter speaks of goes along by one press', async ({ page }, { project }) => {
  await signIn(page);
  const invoice = project.name.startsWith('phone') ? 'LPC-1057' : 'LPC-1054';
  await page.goto(`/write?from=invoice:${invoice}`);
  await editable(page);
  await typeBehind(page, 'Hello', ' The invoice is enclosed.');
  const head = page.locator('.address-head');
  if (await head.getByRole('button', { name: 'Leave out the invoice as PDF' }).isVisible()) {
    await head.getByRole('button', { name: 'Leave out the invoice as PDF' }).click();
    await expect(mark(page, 'nothing goes along')).toBeVisible();
    return;
  }
  await mark(page, 'nothing goes along').getByRole('button', { name: 'Attach the invoice as PDF' }).click();
  await expect(head).toContainText(`the invoice as PDF, ${invoice}.pdf`);
  await expect(mark(page, 'nothing goes along')).toBeHidden();
  await head.getByRole('button', { name: 'Leave out the invoice as PDF' }).click();
  await expect(mark(page, 'nothing goes along')).toBeVisible();
});
