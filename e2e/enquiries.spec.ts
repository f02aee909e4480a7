import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { editable, showAllMarks } from './writing';

test('what was asked stays in view with its days, and a free one goes into the answer in one press', async ({
  page,
}, { project }) => {
  await signIn(page);
  await page.goto('/write?from=enquiry:e3&template=free-days');
  const letter = await editable(page);
  const asked = page.locator('.asked-for:visible');
  await expect(asked).toHaveCount(1);
  await expect(asked).toContainText('The low G rattles.');
  await expect(asked.getByRole('listitem').first()).toContainText(/7 December: /);
  await expectAccessible(page);
  const paper = page.getByRole('article', { name: /^Letter to/ });
  await showAllMarks(paper);
  await expect(paper.getByText('“First day” has not been answered.')).toBeVisible();

  const first = asked.getByRole('button', { name: /as first day$/ }).first();
  const day = /^Offer \w+ (\d+ \w+) as/.exec((await first.getAttribute('aria-label'))!)![1]!;
  await first.click();
  await expect(letter).toContainText(day);
  await expect(paper.getByText('“First day” has not been answered.')).toHaveCount(0);
  // The next is offered as the second.
  await asked
    .getByRole('button', { name: /as second day$/ })
    .last()
    .click();
  await expect(paper.getByText('“Second day” has not been answered.')).toHaveCount(0);
  await expect(asked.getByRole('button', { name: /^Offer .* as / })).toHaveCount(0);
  // On a phone it stands above the letter, at a desk beside it.
  const [box, page1] = [(await asked.boundingBox())!, (await paper.boundingBox())!];
  if (project.name === 'phone') expect(box.y).toBeLessThan(page1.y);
  else expect(box.x + box.width).toBeLessThanOrEqual(page1.x);
});
