import { expect, test } from '@playwright/test';
import { ask } from './database';
import { keepVersion, makeTemplate } from './makeTemplate';
import { expectAccessible, openToday } from './signedIn';
import { arrived, editable, expectReady, sendButton } from './writing';

/** People of its own for each size, who are in no record. */
const WHO = {
  'desk-later': { name: 'Wenna Ortega', email: 'wenna@ortega.example' },
  'phone-later': { name: 'Idris Calloway', email: 'idris@calloway.example' },
} as const;

test('a letter to an address in no record makes its client when it goes, and taken back takes them along', async ({
  page,
  request,
}, { project }) => {
  const { name, email } = WHO[project.name as 'desk-later'];
  const isPhone = project.name === 'phone-later';
  await openToday(page);
  // One of its own: others change those of the demonstration.
  const template = `Word to ${isPhone ? 'the road' : 'the house'}`;
  const key = await makeTemplate(page, template, template);
  const words = [
    ...['---', `name: ${template}`, `group: ${template}`, 'starts from: client', "subject: '{{? Subject}}'"],
    ...[
      '---',
      'Hello {{recipient.greeting_name}},',
      '',
      '{{? Your words : long text}}',
      '',
      '{{signature}}',
      '',
    ],
  ];
  await keepVersion(page, key, 1, words.join('\n'));
  await page.getByRole('button', { name: 'Go to …' }).click();
  const palette = page.getByRole('dialog', { name: 'Go to or begin' });
  await palette.getByRole('combobox').fill(`write ${name} ${email} ${template}`);
  const found = palette.getByRole('option', { name: `Write to ${name}, ${email}: ${template}` });
  await expect(found).toContainText('no client yet: one is made when the letter goes');
  if (isPhone) await found.click();
  else await page.keyboard.press('Enter');

  const text = await editable(page);
  const letter = page.getByRole('article', { name: `Letter to ${name}` });
  await expect(letter).toContainText('No client yet: one is made when the letter goes.');
  await expect(text).toContainText(`Hello ${name.split(' ')[0]}`);
  await expectAccessible(page);
  await text.getByRole('textbox', { name: 'Subject' }).focus();
  await page.keyboard.type('Your piano');
  await page.keyboard.press('Tab');
  const missing = text.getByRole('button', { name: 'Missing: Your words' });
  await expect(missing).toBeFocused();
  await page.keyboard.press('Enter');
  const margin = page.getByRole('complementary', { name: 'Margin' });
  await margin.getByRole('textbox', { name: 'Your words' }).fill('Thank you for ringing.');
  await margin.getByRole('button', { name: 'Fill in' }).click();
  await expectReady(letter);
  // It goes on on another day: the draft knows whom it is to.
  await page.waitForTimeout(800);
  await page.reload();
  await expect(await editable(page)).toContainText('Thank you for ringing.');
  await expectReady(letter);

  const made = () => ask('select key from client where email = $1', [email]);
  await sendButton(letter).click();
  await expect(letter.getByRole('link', { name: `${name} is a client now` })).toBeVisible();
  expect(await made()).toHaveLength(1);
  await letter.getByRole('button', { name: 'Take it back' }).click();
  await expectReady(letter);
  expect(await made()).toEqual([]);
  await expect(letter).toContainText('No client yet');

  await sendButton(letter).click();
  const [received] = await arrived(request, email, 'Your piano');
  expect(received!.text).toContain('Thank you for ringing.');
  await letter.getByRole('link', { name: `${name} is a client now` }).click();
  await expect(page.getByRole('heading', { name, exact: true, level: 1 })).toBeVisible();
  await expect(page.locator('#letters')).toContainText('Your piano');

  // The next one is to the client.
  await page.goto(`/write?from=${encodeURIComponent(`client:<${email}>`)}`);
  await editable(page);
  await expect(letter).toBeVisible();
  await expect(letter).not.toContainText('No client yet');
});
