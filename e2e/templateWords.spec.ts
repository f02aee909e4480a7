import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { textIn, wordsOf, writeIn } from './words';

/** A template of its own for each size. */
const TEMPLATES = {
  desk: { key: 'how-the-work-is-going', name: 'How the work is going' },
  phone: { key: 'your-instrument-is-with-us', name: 'Your instrument is with us' },
} as const;

test('words are read while they are typed, kept as a version, and a later writer is told', async ({
  page,
  browser,
}, { project }) => {
  const { key, name } = TEMPLATES[project.name as 'desk'];
  await signIn(page);
  await page.goto(`/templates/${key}`);
  const other = await browser.newContext({ ...project.use } as object);
  const second = await other.newPage();
  await signIn(second, 'teo@larkfield.example', 'larkfield-teo');
  await second.goto(`/templates/${key}`);
  await second.getByRole('tab', { name: 'Words' }).click();

  await page.getByRole('tab', { name: 'Words' }).click();
  const words = wordsOf(page);
  const before = await textIn(words);
  const keep = page.getByRole('button', { name: 'Keep this version' });
  await expect(page.getByText('Nothing is wrong with these words.')).toBeVisible();
  await expect(keep).toBeDisabled();

  // Mistakes stand at their line, all at once.
  await writeIn(
    words,
    before.replace('greeting_name', 'greting_name').replace('group: Workshop', 'group: Garage'),
  );
  const wrong = page.getByRole('list', { name: 'What is wrong' });
  await expect(wrong).toContainText('There is no group “Garage”.');
  await expect(wrong).toContainText('Did you mean');
  await expect(wrong.getByRole('listitem')).toHaveCount(2);
  await expect(keep).toBeDisabled();
  await expectAccessible(page);
  await wrong.getByRole('button', { name: 'Line 3' }).click();
  await expect(words).toBeFocused();
  expect(await page.evaluate(() => getSelection()!.toString())).toBe('group: Garage');

  await writeIn(words, before.replace('Hello {{', 'Good day {{'));
  await expect(page.getByText('Nothing is wrong with these words.')).toBeVisible();
  await keep.click();
  await expect(page.getByText('Kept as version 2.')).toBeVisible();
  await page.getByRole('tab', { name: 'Pencil' }).click();
  await expect(page.getByRole('article', { name })).toContainText('Good day greeting name,');

  // The other one began before that.
  await writeIn(wordsOf(second), before.replace('Hello {{', 'Dear {{'));
  await second.getByRole('button', { name: 'Keep this version' }).click();
  await expect(second.getByRole('alert').filter({ hasText: 'version 2' })).toContainText(
    'Imke Sandoval has kept version 2 since you began.',
  );
  await expect(wordsOf(second)).toContainText(/Dear \{\{/);
  await second.getByRole('button', { name: 'Load version 2' }).click();
  await expect(wordsOf(second)).toContainText(/Good day \{\{/);
  await expect(second.getByRole('textbox', { name: 'What you wrote' })).toHaveValue(/Dear \{\{/);
  await expect(
    second
      .getByRole('region', { name: /^Beside version/ })
      .locator('.version-words ins')
      .first(),
  ).toContainText('Dear');
  await other.close();
});

test('a template is seen in ink for a record, beside its margin', async ({ page }) => {
  await signIn(page);
  await page.goto('/templates/first-reminder');
  await page.getByRole('tab', { name: 'Ink' }).click();
  await page.getByRole('searchbox', { name: 'Filled for' }).fill('van der meulen 1034');
  const letter = page.getByRole('tabpanel', { name: 'Ink' });
  await expect(letter).toContainText('of invoice LPC-1034, £78.00 is still to come.');
  await letter.getByText('£78.00', { exact: true }).click();
  const note = page
    .getByRole('complementary', { name: 'Margin' })
    .getByRole('region', { name: 'Invoice LPC-1034' });
  await expect(note).toContainText('the invoice you started from');
  await expectAccessible(page);
});

test('templates are found by name and by their words, and groups stay folded', async ({ page }) => {
  await signIn(page);
  await page.goto('/templates');
  const search = page.getByRole('searchbox', { name: 'Find by name, subject or words' });
  await search.fill('crossed with your payment');
  await expect(page.getByRole('link', { name: /First reminder/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Short note/ })).toHaveCount(0);
  await search.fill('');
  await page.getByText('Everyday').click();
  await expect(page.getByRole('link', { name: /Short note/ })).toBeHidden();
  await page.reload();
  await expect(page.getByRole('link', { name: /First reminder/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Short note/ })).toBeHidden();
});
