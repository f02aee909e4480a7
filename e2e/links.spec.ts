import { expect, test, type Page } from '@playwright/test';
import { keepVersion, makeTemplate } from './makeTemplate';
import { own } from './pencilPage';
import { signIn } from './signedIn';
import { editable } from './writing';

/** Gives a link its address. Somebody else may have kept theirs meanwhile: then it is looked at anew. */
async function keepLink(page: Page, called: string, address: string): Promise<void> {
  await expect(async () => {
    await page.goto('/settings/links');
    const all = page.getByRole('group', { name: /^Link \d+$/ });
    await expect(all.first()).toBeVisible();
    const names = await all
      .getByLabel('Called')
      .evaluateAll((fields) => fields.map((field) => (field as HTMLInputElement).value));
    if (!names.includes(called)) {
      await page.getByRole('button', { name: 'Add a link' }).click();
      await all.last().getByLabel('Called').fill(called);
    }
    const at = names.includes(called) ? names.indexOf(called) : names.length;
    await all.nth(at).getByLabel('Address').fill(address);
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByText('Kept.', { exact: true })).toBeVisible({ timeout: 5_000 });
  }).toPass();
}

test('a link that is changed once is another in three templates', async ({ page }, { project }) => {
  await signIn(page);
  const called = `our shelf ${project.name.startsWith('desk') ? 'one' : 'two'}`;
  const first = `https://larkfield.example/${project.name}/a`;
  await keepLink(page, called, first);
  const keys: string[] = [];
  for (const name of ['One', 'Two', 'Three']) {
    const key = await makeTemplate(page, own(`Shelf ${name}`), own('Pencil'));
    const field = `links.${called.replaceAll(' ', '_')}`;
    await keepVersion(
      page,
      key,
      1,
      `---\nname: ${own(`Shelf ${name}`)}\ngroup: ${own('Pencil')}\nstarts from: client\nsubject: Look\n---\nLook at {{${field}}}, [here]({{${field}}}).\n`,
    );
    keys.push(key);
  }
  for (const address of [first, `https://larkfield.example/${project.name}/b`]) {
    if (address !== first) await keepLink(page, called, address);
    for (const key of keys) {
      await page.goto(`/write?from=client:hartigan&template=${key}`);
      const letter = await editable(page);
      await expect(letter.getByTitle(address, { exact: true })).toHaveText([called, 'here']);
    }
  }
  await page.goto('/settings/links');
  await expect(page.getByText('Said in 3 templates').first()).toBeVisible();
});
