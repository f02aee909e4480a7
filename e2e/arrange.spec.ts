import { expect, test, type Locator, type Page } from '@playwright/test';
import { makeTemplate } from './makeTemplate';
import { expectAccessible, signIn } from './signedIn';
import { textIn, wordsOf, writeIn } from './words';

/** The same tests run at both sizes on one business: what they make has names of their own. */
const own = (name: string) => `${name} ${test.info().project.name}`;

const contents = (page: Page, group: string) => page.getByRole('region', { name: group, exact: true });
const namesIn = async (group: Locator) =>
  (await group.getByRole('checkbox').evaluateAll((boxes) => boxes.map((box) => box.ariaLabel!))).map(
    (label) => label.replace('Choose ', ''),
  );

test('a template is made by keyboard alone, in a group that is made on the way', async ({ page }) => {
  await signIn(page);
  await page.goto('/templates');
  await page.getByRole('link', { name: 'New template' }).press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name' })).toBeFocused();
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'Give the template a name.' })).toBeVisible();
  await page.keyboard.type(own('Key cutting'));
  await page.keyboard.press('Tab');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('radio', { name: /an enquiry/ })).toBeChecked();
  await page.keyboard.press('Tab');
  await page.getByLabel('Group', { exact: true }).selectOption('A new group …');
  await expect(page.getByPlaceholder('Its name')).toBeFocused();
  await page.keyboard.type(own('Keys'));
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Group', { exact: true })).toHaveValue(own('keys').replaceAll(' ', '-'));
  await page.getByRole('button', { name: 'Make the template' }).press('Enter');
  const letter = page.getByRole('article', { name: own('Key cutting') });
  await expect(letter).toContainText('what you want to say');
  await expect(letter).toContainText('Signature of whoever writes');
  // The same name a second time is said at the name, and what was chosen stays.
  await page.goto('/templates/new');
  await page.getByRole('textbox', { name: 'Name' }).fill(own('key cutting'));
  await page.getByRole('button', { name: 'Make the template' }).click();
  await expect(page.getByText(`There is another template called “${own('key cutting')}”.`)).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue(own('key cutting'));
});

test('templates are moved by dragging, by keyboard and several at once, and moved back', async ({ page }) => {
  await signIn(page);
  const [from, to] = [own('Left'), own('Right')];
  // The two groups one after the other, so that they stand beside each other.
  await makeTemplate(page, own('One'), from);
  await makeTemplate(page, own('Four'), to);
  for (const name of ['Two', 'Three']) await makeTemplate(page, own(name), from);
  await page.goto('/templates/arrange');
  const [left, right] = [contents(page, from), contents(page, to)];
  await expect.poll(() => namesIn(left)).toEqual([own('One'), own('Two'), own('Three')]);
  await expectAccessible(page);

  // By keyboard: down by one, and over into the next group and back. Each step is waited for, as one who listens to it would.
  const told = (words: string) => expect(page.getByRole('status').filter({ hasText: words })).toBeVisible();
  await left.getByRole('button', { name: `Move ${own('One')}` }).focus();
  await page.keyboard.press('Space');
  await told(`${own('One')} is at 1 of 3 in ${from}.`);
  await page.keyboard.press('ArrowDown');
  await expect.poll(() => namesIn(left)).toEqual([own('Two'), own('One'), own('Three')]);
  await page.keyboard.press('Space');
  await told(`${own('One')}: moved to ${from}.`);
  await page.reload();
  await expect.poll(() => namesIn(left)).toEqual([own('Two'), own('One'), own('Three')]);
  await left.getByRole('button', { name: `Move ${own('Three')}` }).focus();
  await page.keyboard.press('Space');
  await told(`${own('Three')} is at 3 of 3 in ${from}.`);
  await page.keyboard.press('ArrowDown');
  await expect.poll(() => namesIn(left)).toEqual([own('Two'), own('One')]);
  await page.keyboard.press('Escape');
  await told(`${own('Three')} is back where it was.`);
  await expect.poll(() => namesIn(left)).toEqual([own('Two'), own('One'), own('Three')]);

  // By dragging, the chosen ones along.
  await left.getByLabel(`Choose ${own('Two')}`).check();
  await left.getByLabel(`Choose ${own('Three')}`).check();
  await dragTo(
    page,
    left.getByRole('button', { name: `Move ${own('Three')}` }),
    right.getByLabel(`Choose ${own('Four')}`),
    async () => (await namesIn(right)).includes(own('Three')),
  );
  await expect(page.getByRole('status').filter({ hasText: `2 templates: moved to ${to}.` })).toBeVisible();
  await expect.poll(() => namesIn(left)).toEqual([own('One')]);
  expect((await namesIn(right)).sort()).toEqual([own('Four'), own('Three'), own('Two')].sort());
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => namesIn(left)).toEqual([own('Two'), own('One'), own('Three')]);
  await expect(page.getByRole('status').filter({ hasText: 'Moved back.' })).toBeVisible();

  // Without dragging.
  await left.getByLabel(`Choose ${own('One')}`).check();
  await page.getByLabel('The chosen one goes to').selectOption(to);
  await expect(page.getByRole('status').filter({ hasText: `${own('One')}: moved to ${to}.` })).toBeVisible();
  await page.reload();
  await expect.poll(() => namesIn(right)).toEqual([own('Four'), own('One')]);
  await expect.poll(() => namesIn(left)).toEqual([own('Two'), own('Three')]);
});

test('what could not be kept is told and stands as it stood', async ({ page, context }) => {
  await signIn(page);
  const [from, to] = [own('Here'), own('There')];
  await makeTemplate(page, own('Stays'), from);
  await makeTemplate(page, own('Other'), to);
  await page.goto('/templates/arrange');
  await contents(page, from)
    .getByLabel(`Choose ${own('Stays')}`)
    .check();
  await context.setOffline(true);
  await page.getByLabel('The chosen one goes to').selectOption(to);
  await expect(page.getByText('There is no connection. Nothing was moved.')).toBeVisible();
  await expect.poll(() => namesIn(contents(page, from))).toEqual([own('Stays')]);
  await context.setOffline(false);
});

test('a group is changed, moved and removed, and its templates go where they are told to', async ({
  page,
}) => {
  await signIn(page);
  const [group, other] = [own('Tools'), own('Spares')];
  await makeTemplate(page, own('Hammer'), group);
  await makeTemplate(page, own('Felt'), other);
  await page.goto('/templates/arrange');
  await page.getByRole('button', { name: `Change ${group}` }).click();
  const name = contents(page, group).getByRole('textbox', { name: 'Name' });
  await expect(name).toBeFocused();
  await expectAccessible(page);
  await name.fill(other.toUpperCase());
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText(`There is another group called “${other.toUpperCase()}”.`)).toBeVisible();
  await name.fill(own('Bench'));
  await contents(page, group).getByLabel('Initial').fill('Bn');
  await contents(page, group).getByRole('radio', { name: 'moss' }).check({ force: true });
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  const bench = contents(page, own('Bench'));
  await expect(bench).toContainText('Bn');
  await expect(bench.locator('.tint-moss')).toBeVisible();
  const order = async () =>
    page.getByRole('region').evaluateAll((all) => all.map(({ ariaLabel }) => ariaLabel));
  const before = await order();
  const next = before[before.indexOf(own('Bench')) + 1]!;
  await page.getByRole('button', { name: `Change ${own('Bench')}` }).click();
  await bench.getByRole('button', { name: 'Move down' }).click();
  await expect(page.getByRole('status').filter({ hasText: `${own('Bench')} moved down.` })).toBeVisible();
  await expect
    .poll(async () => (await order()).indexOf(own('Bench')) - (await order()).indexOf(next))
    .toBeGreaterThan(0);
  await bench.getByRole('button', { name: 'Remove' }).click();
  await page.getByLabel('Its template goes to').selectOption(other);
  await page.getByRole('button', { name: 'Remove the group' }).click();
  await expect(
    page.getByRole('status').filter({ hasText: `The group ${own('Bench')} is removed.` }),
  ).toBeVisible();
  await expect.poll(() => namesIn(contents(page, other))).toEqual([own('Felt'), own('Hammer')]);
  await expect(bench).toHaveCount(0);
});

test('a template is copied, thrown away once what depends on it was said, and put back', async ({ page }) => {
  await signIn(page);
  await makeTemplate(page, own('Letter'), own('Desk'));
  await page.goto('/templates');
  await page.getByRole('link', { name: own('Letter') }).click();
  await page.getByRole('button', { name: 'Copy' }).click();
  const copy = own('Letter') + ', copy';
  await expect(page.getByRole('article', { name: copy })).toBeVisible();
  await page.getByRole('button', { name: 'Throw away' }).click();
  await expect(page.getByRole('button', { name: 'Put it in the trash' })).toBeFocused();
  await expect(page.getByText('It can be put back from the trash.')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Put it in the trash' }).click();
  await expect(page.getByRole('heading', { name: 'Trash' })).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: copy })).toContainText('thrown away today at');
  await expectAccessible(page);
  await page.getByRole('button', { name: `Put ${copy} back` }).click();
  await expect(page.getByRole('status').getByRole('link', { name: copy })).toBeVisible();
  await page.getByRole('status').getByRole('link', { name: copy }).click();
  await expect(page.getByRole('article', { name: copy })).toBeVisible();
});

/** As a hand drags: in steps, with the mouse or a finger that rests first. */
/** Drags it by its handle to where the target is, by eye: until it is seen there, as the page may have scrolled on the way. */
async function dragTo(
  page: Page,
  handle: Locator,
  target: Locator,
  seen: () => Promise<boolean>,
): Promise<void> {
  // Both in sight, where that can be: at the window's edge it would scroll on.
  const [first, last] = [(await handle.boundingBox())!, (await target.boundingBox())!];
  const middle = page.viewportSize()!.height / 2;
  await page.mouse.wheel(0, (first.y + last.y) / 2 - middle);
  await page.waitForTimeout(300);
  const from = (await handle.boundingBox())!;
  const x = from.x + from.width / 2;
  await page.mouse.move(x, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(x, from.y + from.height / 2 + 12, { steps: 4 });
  await expect(async () => {
    const to = (await target.boundingBox())!;
    // Held at the window's edge, the page scrolls on.
    const y = Math.min(Math.max(to.y + to.height / 2, 40), page.viewportSize()!.height - 40);
    await page.mouse.move(x, y, { steps: 6 });
    expect(await seen()).toBe(true);
  }).toPass({ intervals: [100] });
  await page.mouse.up();
}

test('an earlier version is compared in words and brought back', async ({ page }) => {
  await signIn(page);
  await makeTemplate(page, own('Cable'), own('Wires'));
  await page.goto(`/templates/${own('cable').replaceAll(' ', '-')}`);
  await page.getByRole('tab', { name: 'Words' }).click();
  const words = wordsOf(page);
  await writeIn(
    words,
    (await textIn(words)).replace('{{gap "what you want to say"}}', 'The cable has come.'),
  );
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByText('Kept as version 2.')).toBeVisible();
  await page.getByRole('tab', { name: 'Versions' }).click();
  await expect(page.getByText('Version 2, from which letters are written')).toBeVisible();
  await page.getByRole('button', { name: /^Version 1/ }).click();
  const compared = page.getByRole('region', { name: 'What has changed since version 1' });
  await expect(compared.getByRole('deletion').filter({ hasText: 'what you want to say' })).toBeVisible();
  await expect(compared.getByRole('insertion').filter({ hasText: 'The cable has come.' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Bring version 1 back' }).click();
  await expect(page.getByText('Version 1 is back, as version 3.')).toBeVisible();
  await expect(page.getByText('Version 3, from which letters are written')).toBeVisible();
  await page.getByRole('tab', { name: 'Pencil' }).click();
  await expect(page.getByRole('tabpanel')).toContainText('what you want to say');
});
