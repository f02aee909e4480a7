import { expect, test, type Page } from '@playwright/test';
import { ask } from './database';
import { keepVersion, makeTemplate } from './makeTemplate';
import { expectAccessible, signIn } from './signedIn';
import { editable, typeBehind } from './writing';

/** Clients of its own for each size, whose facts are put right. */
const OWN = {
  'desk-later': 'underhill',
  'phone-later': 'latimer',
} as const;

/** Opens the note of the first words on the page that a fact says. */
async function openFact(page: Page, words: string) {
  await (await editable(page)).locator('[data-id]').filter({ hasText: words }).first().click();
  const note = page.locator('.note-open');
  await expect(note).toBeVisible();
  return note;
}

test('a fact is said in another form, stays a fact, and goes back to what the template says', async ({
  page,
}) => {
  await signIn(page);
  await page.goto('/write?from=booking:b-hartigan&template=visit-coming-up');
  const letter = await editable(page);
  await typeBehind(page, 'Hello', ' from the van');
  const note = await openFact(page, 'tomorrow');
  await note.getByRole('button', { name: 'Thursday, 26 November 2026', exact: true }).click();
  await expect(letter.locator('.subject')).toHaveText('Tuning visit Thursday, 26 November 2026');
  await expect(letter).toContainText('from the van');
  // It is not a change by hand: its note is still among its record’s.
  await expect(page.locator('.note-open .note-title')).toHaveText('Tuning visit');
  await expectAccessible(page);
  // It is there again after a reload.
  await page.waitForTimeout(600);
  await page.reload();
  await expect((await editable(page)).locator('.subject')).toHaveText(
    'Tuning visit Thursday, 26 November 2026',
  );
  const again = await openFact(page, 'Thursday, 26 November 2026');
  await again.getByRole('button', { name: 'As the template says it' }).click();
  await expect(letter.locator('.subject')).toHaveText('Tuning visit tomorrow');
});

test('on a phone one fact is swiped to the next', async ({ page }, { project }) => {
  test.skip(project.name !== 'phone-later', 'At a desk all of them stand beside the page.');
  await signIn(page);
  await page.goto('/write?from=booking:b-hartigan&template=visit-coming-up');
  const note = await openFact(page, 'tomorrow');
  const fact = note.locator('.fact-open .fact-label');
  const first = await fact.textContent();
  const swipe = (to: number) =>
    note.evaluate((node, across) => {
      const touch = (x: number) => new Touch({ identifier: 1, target: node, clientX: x, clientY: 600 });
      const fire = (type: string, x: number) =>
        node.dispatchEvent(
          new TouchEvent(type, {
            bubbles: true,
            touches: type === 'touchend' ? [] : [touch(x)],
            changedTouches: [touch(x)],
          }),
        );
      fire('touchstart', 200);
      fire('touchend', 200 - across);
    }, to);
  await swipe(120);
  await expect(fact).not.toHaveText(first!);
  await swipe(-120);
  await expect(fact).toHaveText(first!);
  await note.getByRole('button', { name: 'Next fact' }).click();
  await expect(fact).not.toHaveText(first!);
});

test('a fact is put right where it is kept, for this letter and all to come', async ({ page }, {
  project,
}) => {
  const client = OWN[project.name as 'desk-later'];
  await signIn(page);
  await page.goto(`/write?from=client:${client}&template=statement-of-account`);
  const letter = await editable(page);
  await typeBehind(page, 'Hello', ' A line of my own.');
  const given = (await letter.locator('[data-id]').nth(1).textContent())!;
  const note = await openFact(page, given);
  await note.getByRole('button', { name: 'Put right for all letters' }).click();
  const field = note.getByRole('textbox').first();
  const was = await field.inputValue();
  await field.fill(was.includes(' ') ? `Robin ${was.split(' ').at(-1)}` : 'Robin');
  await expectAccessible(page);
  await note.getByRole('button', { name: 'Keep' }).click();
  await expect(letter).toContainText('Hello Robin');
  await expect(letter).toContainText('A line of my own.');
  const [kept] = await ask<{ name: string }>('select name from client where key = $1', [client]);
  expect(kept!.name).toContain('Robin');

  // What somebody else has changed meanwhile is not overwritten.
  await ask(
    `update client set name = 'Alex ' || name, given_name = 'Alex', preferred_name = null, version = version + 1
     where key = $1`,
    [client],
  );
  const second = await openFact(page, 'Robin');
  await second.getByRole('button', { name: 'Put right for all letters' }).click();
  await second.getByRole('textbox').first().fill('Kim');
  await second.getByRole('button', { name: 'Keep' }).click();
  await expect(second.getByRole('alert').filter({ hasText: 'Somebody has changed it' })).toBeVisible();
});

test('where the template has other words since, and its writer, too, both are shown, and one is chosen', async ({
  page,
}, { project }) => {
  await signIn(page);
  const name = `The way ${project.name}`;
  const key = await makeTemplate(page, name, name);
  const keep = (version: number, how: string) => {
    const text = `---\nname: ${name}\ngroup: ${name}\nstarts from: client\nsubject: 'How we come'\n---\nHello {{recipient.greeting_name}},\n\nwe come ${how} with one tool.\n\n{{signature}}\n`;
    return keepVersion(page, key, version, text);
  };
  await keep(1, 'on foot');
  await page.goto(`/write?from=client:calder&template=${key}`);
  const letter = await editable(page);
  await letter.getByText('we come on foot').click();
  await page.keyboard.press('End');
  await page.keyboard.press('Shift+Home');
  await page.keyboard.type('we come by bus with one tool.');
  await page.waitForTimeout(1000);

  await keep(2, 'by car');
  await page.reload();
  const both = page.getByRole('list', { name: 'Changed by you and since' });
  await expect(both).toContainText('You wrote “we come by bus with one tool.”');
  await expect(both).toContainText('it would now be “we come by car with one tool.”');
  await expect(await editable(page)).toContainText('we come by bus');
  await expectAccessible(page);
  await both.getByRole('button', { name: 'Take that' }).click();
  await expect(await editable(page)).toContainText('we come by car with one tool.');
  await expect(both).toHaveCount(0);
  await (await editable(page)).focus();
  await page.keyboard.press('ControlOrMeta+z');
  await expect(await editable(page)).toContainText('we come by bus with one tool.');
});
