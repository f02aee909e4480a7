import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { editable, expectReady, sendButton, showAllMarks, stetAll } from './writing';

/** Enquiries and days of its own for each size. */
const OWN = {
  desk: { enquiry: 'e1', other: 'e2', name: 'Bram Tolliver', days: ['12 April 2028', '13 April 2028'] },
  phone: { enquiry: 'e3', other: 'e5', name: 'Harriet Fenwick', days: ['19 April 2028', '20 April 2028'] },
} as const;

/** The server has said whether a day is free. */
const lookedUp = (page: Page) =>
  page.waitForResponse(
    (response) =>
      response.url().endsWith('/api/letters/look-up') && response.request().postData()!.includes('"2028-'),
  );

/** Begins the letter that offers two days, and offers the first of some. */
async function offer(page: Page, enquiry: string, days: readonly string[]) {
  await page.goto(`/write?from=enquiry:${enquiry}&template=free-days`);
  const text = await editable(page);
  await text.getByRole('textbox', { name: 'First day' }).first().fill(days[0]!);
  const known = lookedUp(page);
  await page.keyboard.press('Enter');
  await known;
  if (days[1]) {
    await text.getByRole('textbox', { name: 'Second day' }).first().fill(days[1]);
    await page.keyboard.press('Enter');
  }
  return page.getByRole('article', { name: /^Letter to/ });
}

test('days that a letter offers are held until the day that it names', async ({ page }, { project }) => {
  const { enquiry, other, name, days } = OWN[project.name.startsWith('desk') ? 'desk' : 'phone'];
  const [first, second] = days;
  await signIn(page);
  const letter = await offer(page, enquiry, days);
  const asked = page.locator('.asked-for:visible');
  await expect(asked).toContainText(
    `When it goes, ${first} and ${second} are held until Monday 30 November, as the letter says.`,
  );
  await asked.getByRole('button', { name: 'Do not hold them' }).click();
  await expect(asked).toContainText('are not held, though the letter says until Monday 30 November.');
  await asked.getByRole('button', { name: 'Hold them' }).click();
  await expect(asked).toContainText('When it goes,');
  await expectAccessible(page);
  await stetAll(letter);
  await expectReady(letter);
  await sendButton(letter).click();
  await expect(letter).toContainText(`${first} and ${second} are held until Monday 30 November.`);

  // Whoever offers one of them to somebody else is asked.
  const theirs = await offer(page, other, days.slice(0, 1));
  await showAllMarks(theirs);
  const mark = theirs.getByText('The letter offers a day that is not free.');
  await expect(mark).toContainText(`${first}: held.`);

  // Where it was asked for they are told, and can be let go.
  await page.goto(`/write?from=enquiry:${enquiry}&template=free-days`);
  const held = asked.getByText(`Held for ${name} until Monday 30 November`);
  await expect(held).toHaveCount(2);
  await asked
    .getByRole('button', { name: /^Let go: / })
    .first()
    .click();
  await expect(asked.getByText('Let go.')).toBeVisible();
  const known = lookedUp(page);
  await page.goto(`/write?from=enquiry:${other}&template=free-days`);
  await known;
  await expect(await editable(page)).toContainText(first!);
  await showAllMarks(theirs);
  await expect(mark).toHaveCount(0);
});
