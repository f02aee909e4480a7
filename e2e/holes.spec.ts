import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { editable, expectReady, expectWaiting, openNote, stetAll } from './writing';
import { textIn, wordsOf, writeIn } from './words';

/** Each size gives a template of its own a sentence with a fact that the visit of 4 November lacks. */
const TEMPLATES = { desk: 'we-had-to-move-your-visit', phone: 'short-note' } as const;
const SENTENCE = 'The price is {{booking.price}}. Do ring me.';

async function addSentence(page: Page, template: string): Promise<void> {
  await page.goto(`/templates/${template}`);
  await page.getByRole('tab', { name: 'Words' }).click();
  const words = wordsOf(page);
  await writeIn(words, (await textIn(words)).replace('{{signature}}', `${SENTENCE}\n\n{{signature}}`));
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByText('Kept as version 2.')).toBeVisible();
}

test('a hole stops the letter and says where it is; three ways to cure it', async ({ page }, { project }) => {
  const template = TEMPLATES[project.name as 'desk'];
  await signIn(page);
  await addSentence(page, template);
  await page.goto(`/write?from=booking:b43&template=${template}`);
  const letter = page.getByRole('article', { name: /^Letter to/ });
  const text = await editable(page);
  const margin = page.getByRole('complementary', { name: 'Margin' });
  const proof = letter.getByRole('list', { name: 'Proof' });

  // The blanks of the template are asked in the text.
  for (const name of ['The old day', 'Subject']) {
    const question = text.getByRole('textbox', { name });
    if (!(await question.count())) continue;
    await question.focus();
    await question.fill(name === 'Subject' ? 'A word' : '2026-11-04');
    // A day is taken once it is whole.
    if (await question.count()) await question.press('Enter');
  }
  const long = text.getByRole('button', { name: 'Missing: Your words' });
  if (await long.count()) {
    await long.click();
    await margin.getByRole('textbox', { name: 'Your words' }).fill('Thank you.\nIt went well.');
    await margin.getByRole('button', { name: 'Fill in' }).click();
    await expect(text).toContainText('It went well.');
  }

  await expect(proof).toContainText('has no price.');
  // The template is meant for a visit to come: its writer is asked, and means it.
  await stetAll(letter);
  await expectWaiting(letter, '1 stop');
  await page.keyboard.press('Control+Enter');
  await expect(letter.getByText('Going.')).toHaveCount(0);
  await expectAccessible(page);

  // Typed.
  await proof.getByRole('button', { name: 'Go there' }).click();
  const note = margin.getByRole('region', { name: 'Missing: price' });
  await note.getByRole('button', { name: 'Fill in' }).click();
  await expect(note.getByRole('alert')).toHaveText('Write the price.');
  await note.getByRole('textbox', { name: 'Words for price' }).fill('agreed on the day');
  await page.keyboard.press('Enter');
  await expect(text).toContainText('The price is agreed on the day. Do ring me.');
  await expectReady(letter);
  const changed = await openNote(page, 'was missing', 'agreed on the day');
  await expect(changed).toContainText('By hand');
  await changed.getByRole('button', { name: 'Put back' }).click();
  await expectWaiting(letter, '1 stop');

  // Left out, and back again.
  await proof.getByRole('button', { name: 'Go there' }).click();
  await note.getByRole('button', { name: 'Leave the sentence out' }).click();
  await expect(text).not.toContainText('The price is');
  await expect(text).toContainText('Do ring me.');
  await expectReady(letter);
  await text.press('Control+z');
  await expect(text).toContainText('The price is');
  await expectWaiting(letter, '1 stop');

  // Another record.
  await proof.getByRole('button', { name: 'Go there' }).click();
  await note.getByRole('button', { name: /^Take another/ }).click();
  await note.getByRole('button', { name: /27 November/ }).click();
  await expect(text).toContainText('The price is £140.00. Do ring me.');
  await expectReady(letter);
  const price = await openNote(page, 'price', '£140.00');
  await expect(price).toContainText('chosen for this letter');
});

test('somebody without an address stops the letter, and another person cures it', async ({ page }) => {
  await signIn(page);
  // It is said before anything is written.
  await page.goto('/clients/oconnell');
  await expect(page.getByRole('list', { name: 'Before you write' })).toContainText('has no email address.');
  await page.goto('/write?from=client:oconnell&template=short-note');
  const letter = page.getByRole('article', { name: /^Letter to/ });
  await expect(letter.getByRole('list', { name: 'Proof' })).toContainText(
    'has no email address. Add one, or choose another person.',
  );
  await page.goto('/write?from=booking:b-college&template=visit-confirmed');
  await editable(page);
  await expect(letter).toContainText('Farah Nadim');
  await letter.getByRole('button', { name: 'Change' }).click();
  await letter.getByRole('button', { name: /Hale Brandreth, accounts office/ }).click();
  await expect(letter).toContainText('Hello Hale,');
  await letter.getByRole('button', { name: 'Change' }).click();
  await letter.getByRole('button', { name: 'Also to Farah Nadim' }).click();
  await expect(letter).toContainText('Hello Hale and Farah,');
  await letter.getByRole('button', { name: 'Not to Hale Brandreth' }).click();
  await expect(letter).toContainText('Hello Farah,');
  // Whom it comes from, and who gets it, stand in the head.
  await expect(letter).toContainText('Imke Sandoval (imke@larkfield.example)');
});
