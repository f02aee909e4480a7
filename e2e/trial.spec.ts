import { expect, test } from '@playwright/test';
import { open, own, pencil } from './pencilPage';
import { expectAccessible, signIn } from './signedIn';
import { mailboxOf } from './writing';

test('a trial of what is being written goes to the chosen member, and to nobody else', async ({ page }) => {
  const written = await open(page, 'Tried out', 'client');
  await page.locator('.template-head summary').click();
  await page.getByRole('textbox', { name: 'Copy to', exact: true }).fill('teo@larkfield.example');
  await page.getByRole('textbox', { name: 'Copy to', exact: true }).press('Tab');
  await written.getByText('Hello').click();
  await page.keyboard.press('End');
  await page.keyboard.type(' only tried');
  await page.getByRole('tab', { name: 'Ink' }).click();
  const record = await page.getByRole('combobox', { name: 'Record' }).locator('option:checked').textContent();
  await expect(page.locator('.letter-body.copy').last()).toContainText('only tried');
  await expect(page.getByLabel('Try it out: to').locator('option')).toHaveText([
    'Imke Sandoval',
    'Runa Okafor',
    'Teo Marsh',
  ]);
  await expectAccessible(page);
  await page.getByLabel('Try it out: to').selectOption('Runa Okafor');
  await page.getByRole('button', { name: 'Send a trial' }).click();
  await expect(page.getByText('On its way to Runa Okafor, and to nobody else.')).toBeVisible();
  const subject = `Trial: ${own('Tried out')}`;
  const trials = async (to: string) =>
    (await mailboxOf(page.request, to)).filter((one) => one.subject === subject);
  await expect.poll(async () => (await trials('runa@larkfield.example')).length).toBe(1);
  const [trial] = await trials('runa@larkfield.example');
  const client = record!.split(',')[0]!;
  expect(trial!.text.replace(/\s+/g, ' ')).toContain(
    `A trial of “${own('Tried out')}”, filled for ${client}. It went to nobody else.`,
  );
  expect(trial!.text).toContain('only tried');
  expect(await trials('teo@larkfield.example')).toEqual([]);

  // The client knows nothing of it, and no letter was written from the template.
  await page.goto('/clients');
  await page.getByRole('searchbox').first().fill(client);
  await page
    .getByRole('link', { name: new RegExp(`^${client}`) })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: client })).toBeVisible();
  await expect(page.getByText(subject)).toHaveCount(0);

  // Whoever is nobody of the business cannot be said at all.
  const answer = await page.request.post(`/api/templates/${own('tried-out').replaceAll(' ', '-')}/trial`, {
    headers: { origin: process.env.BASE_URL! },
    data: { id: crypto.randomUUID(), from: 'client:hartigan', to: 'hartigan', text: trial!.text },
  });
  expect(answer.status()).toBe(422);
  await page.goto('/templates');
  await expect(pencil(page)).toHaveCount(0);
});

test('an owner says who may change what everyone writes with; the others make their own', async ({
  page,
}) => {
  // The two sizes run beside each other.
  const [name, key] =
    test.info().project.name === 'desk-later' ? ['Runa Okafor', 'runa'] : ['Teo Marsh', 'teo'];
  await signIn(page);
  await page.goto('/templates/arrange');
  await page.getByRole('link', { name: 'Who may change them' }).click();
  await expect(page.getByText('an owner, always')).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel(name).uncheck();
  await expect(page.getByText(`${name} may no longer change them.`)).toBeVisible();

  await signIn(page, `${key}@larkfield.example`, `larkfield-${key}`);
  await page.goto('/templates/short-note');
  await expect(page.getByText('You may not change what everyone writes with.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Throw away' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Keep this version' })).toBeDisabled();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Copy' }).click();
  await expect(page.getByRole('heading', { name: /^Short note, copy/ })).toBeVisible();
  await expect(page.getByText('You may not change what everyone writes with.')).toHaveCount(0);
  await page.goto('/templates/rights');
  await expect(page.getByRole('listitem').filter({ hasText: name })).toContainText('may not');

  await signIn(page);
  await page.goto('/templates/rights');
  await page.getByLabel(name).check();
  await expect(page.getByText(`${name} may change them.`)).toBeVisible();
});
