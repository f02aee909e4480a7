import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { keepVersion, makeTemplate } from './makeTemplate';
import { choosesFiles, own } from './pencilPage';
import { expectAccessible, signIn } from './signedIn';
import { textIn, wordsOf } from './words';
import { zipOf } from './zipOf';

const PICTURE = readFileSync('src/data/demonstration/files/larkfield.png');

/** What is asked about has names of its own for each size: what is said of one is remembered. */
const size = () => (test.info().project.name.startsWith('phone') ? 'phone' : 'desk');

const file = (name: string, buffer: Buffer) => ({ name, mimeType: 'application/octet-stream', buffer });

async function choose(page: Page, name: string, content: string | Buffer): Promise<void> {
  await page.getByLabel('Files with templates').setInputFiles(file(name, Buffer.from(content as string)));
}

const names = (page: Page) => page.getByRole('complementary', { name: 'What names mean' });
const meaning = (page: Page, words: string) =>
  page.getByRole('group', { name: `What “${words}” means`, exact: true });

/** Thirty files: ten of plain text, ten pages, nine of Markdown and one that holds no words. */
function mixed(): Promise<Buffer> {
  const files: Record<string, string | Buffer> = { 'logo.png': PICTURE };
  for (let i = 1; i <= 10; i++) {
    files[`visits/visit ${size()} ${i}.txt`] =
      `Subject: Your visit ${i}\r\n\r\nDear [First Name],\r\nwe come on {{appointment date}}.\r\n\r\nThe code is %${size()} door code%.`;
    files[`money/${size()}-${i}.html`] =
      `<html><title>Invoice ${size()} ${i}</title><p>Dear *|FNAME|*,</p><p>INVOICE_NUMBER is open. [${size()} motto]</p><img src="../logo.png" alt="Our mark" width="80"></html>`;
    if (i < 10)
      files[`thanks/thanks ${size()} ${i}.md`] = `Hello {first_name},\n\n**thank you** for [Service].\n`;
  }
  return zipOf(files);
}

function eml(): string {
  return [
    `Subject: From the old office, ${size()}`,
    'From: office@larkfield.example',
    'MIME-Version: 1.0',
    'Content-Type: multipart/related; boundary=b',
    '',
    '--b',
    'Content-Type: text/html; charset=utf-8',
    '',
    `<p>Dear {{first name}},</p><p>ring %${size()} door code%. [${size()} motto]</p><p><img src="cid:mark@old" alt="Our mark" width="90"></p>`,
    '--b',
    'Content-Type: image/png',
    'Content-ID: <mark@old>',
    'Content-Transfer-Encoding: base64',
    '',
    PICTURE.toString('base64').replace(/.{76}/g, '$&\r\n'),
    '--b--',
    '',
  ].join('\r\n');
}

function mbox(): string {
  return [1, 2]
    .map(
      (i) =>
        `From office@larkfield.example Thu Nov 26 09:00:00 2026\nSubject: Kept ${size()} ${i}\nFrom: office@larkfield.example\nMIME-Version: 1.0\nContent-Type: text/plain; charset=utf-8\n\nDear #Name#,\n\n$${size()} door code$ and [${size()} motto]\n`,
    )
    .join('\n');
}

test('a zip, a message and a mailbox file come in; what their names mean is asked once', async ({ page }) => {
  choosesFiles(page);
  await signIn(page);
  await page.goto('/templates');
  await page.getByRole('link', { name: 'Bring in, take out' }).click();
  await expect(page.getByRole('heading', { name: 'Bring templates in, or take them out' })).toBeVisible();
  await expectAccessible(page);

  // What cannot be read says where and why.
  await choose(page, 'scan.pdf', '%PDF-1.7 …');
  await expect(page.getByText('scan.pdf:1:1: This is a PDF, and no text.')).toBeVisible();
  await choose(page, 'broken.zip', (await mixed()).subarray(0, 900));
  await expect(page.getByText(/broken\.zip:1:1: The zip is damaged/)).toBeVisible();

  await choose(page, 'old.zip', await mixed());
  await expect(page.getByRole('heading', { name: '29 templates' })).toBeVisible();
  await expect(names(page).getByRole('status')).toHaveText('2 names are asked about, once each.');
  await page.getByText('One file was left out').click();
  await expect(page.getByText('old.zip/logo.png: This is a picture.')).toBeVisible();
  await expectAccessible(page);
  await meaning(page, `%${size()} door code%`).getByRole('button', { name: 'A field …' }).click();
  const list = page.getByRole('dialog', { name: 'Smart fields' });
  await list.getByRole('combobox').fill('business phone');
  await list.getByRole('combobox').press('Enter');
  await meaning(page, `[${size()} motto]`).getByRole('button', { name: 'Just words' }).click();
  await expect(names(page).getByRole('status')).toHaveText('It is known what all of their names mean.');
  const first = page.getByRole('listitem').filter({ hasText: `visit ${size()} 1.txt` });
  await first.getByText('Read it').click();
  await expect(first.getByText('phone', { exact: false }).last()).toBeVisible();
  await page.getByRole('checkbox', { name: `thanks ${size()} 9`, exact: true }).uncheck();
  await page.getByRole('button', { name: 'Bring 28 in' }).click();
  await expect(page.getByText('28 templates came in.')).toBeVisible();
  await expectAccessible(page);
  const made = page.getByRole('link', { name: `visit ${size()} 1`, exact: true }).last();
  const href = (await made.getAttribute('href'))!;

  // The second and the third file ask nothing.
  await page.getByRole('button', { name: 'Bring in more' }).click();
  await choose(page, 'letter.eml', eml());
  await expect(names(page).getByRole('status')).toHaveText('It is known what all of their names mean.');
  await choose(page, 'kept.mbox', mbox());
  await expect(page.getByRole('heading', { name: '3 templates' })).toBeVisible();
  await expect(names(page).getByRole('status')).toHaveText('It is known what all of their names mean.');
  await page.getByRole('button', { name: 'Bring 3 in' }).click();
  await expect(page.getByText('3 templates came in.')).toBeVisible();
  await page
    .getByRole('link', { name: `From the old office, ${size()}`, exact: true })
    .last()
    .click();
  const sheet = page.getByRole('textbox', { name: 'Template' });
  await expect(sheet).toContainText(`[${size()} motto]`);
  await expect(sheet.getByRole('img', { name: 'Our mark' })).toBeVisible();
  await page.goto(href);
  await page.getByRole('tab', { name: 'Words' }).click();
  const text = await textIn(wordsOf(page));
  expect(text).toContain('subject: Your visit 1');
  expect(text).toContain('Dear {{recipient.greeting_name}},\\\nwe come on {{booking.starts_at}}.');
  expect(text).toContain('The code is {{business.phone}}.');
});

test('what came in can go again at once', async ({ page }) => {
  choosesFiles(page);
  await signIn(page);
  await page.goto('/templates/bring-in');
  await choose(page, `Gone again ${size()}.txt`, 'Hello [First Name]');
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByText('One template came in.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it in the trash again' }).click();
  await expect(page.getByText('The new ones are in the trash')).toBeVisible();
  await page.goto('/templates/trash');
  await expect(page.getByText(`Gone again ${size()}`)).toBeVisible();
});

test('without a connection nothing is lost', async ({ page, context }) => {
  choosesFiles(page);
  await signIn(page);
  await page.goto('/templates/bring-in');
  await context.setOffline(true);
  await choose(page, 'away.txt', 'Hello [First Name]');
  await expect(page.getByText('away.txt: There is no connection. It was not read.')).toBeVisible();
  await context.setOffline(false);
  await choose(page, `${own('Away')}.txt`, 'Hello [First Name]');
  await expect(page.getByRole('heading', { name: 'One template' })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(
    page.getByText('There is no connection. Nothing was brought in; it is still here.'),
  ).toBeVisible();
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Close without bringing in' }).click();
  await expect(page.getByRole('heading', { name: 'Take all of them out' })).toBeVisible();
});

test('all templates go out, and one that is gone comes in again as it was', async ({ page }) => {
  choosesFiles(page);
  await signIn(page);
  let key = await makeTemplate(page, own('Out and in'), own('Pencil'), 'invoice');
  const text = `---\nname: ${own('Out and in')}\ngroup: ${own('Pencil')}\nstarts from: invoice\nsubject: 'About {{invoice.number}}'\nattach: [invoice pdf]\nnote: Only a try\n---\nDear {{recipient.greeting_name}},\n\n{{#when invoice.balance over £100}}\nmuch is open, {{? Reason : choice of "a" "b"}}\n{{otherwise}}\n*little* is open.\n{{/when}}\n\n{{> How to pay}}\n\n{{signature}}\n`;
  await keepVersion(page, key, 1, text);
  for (const form of ['Text', 'JSON', 'Pages']) {
    await page.goto('/templates/bring-in');
    const coming = page.waitForEvent('download');
    await page.getByRole('link', { name: form, exact: true }).click();
    const zip = await coming;
    expect(zip.suggestedFilename()).toMatch(/^templates-\d{4}-\d\d-\d\d\.zip$/);
    const content = readFileSync(await zip.path());
    const gone = await page.request.post(`/api/templates/${key}/trash`, {
      data: {},
      headers: { origin: process.env.BASE_URL! },
    });
    expect(await gone.text()).toContain('done');
    await page.reload();
    await choose(page, 'all.zip', content);
    await expect(page.getByText('is here already, word for word').first()).toBeVisible();
    await expect(page.getByRole('button', { name: /^Bring (?:it|\d+) in$/ })).toBeEnabled();
    const ours = page.getByRole('checkbox', { name: own('Out and in'), exact: true });
    await expect(ours).toBeChecked();
    // Others may be at work beside this: of all that differs, this one alone comes in.
    const oursId = await ours.getAttribute('id');
    const checked = await page.locator('input:checked').evaluateAll((all) => all.map(({ id }) => id));
    for (const id of checked) if (id !== oursId) await page.locator(`[id="${id}"]`).uncheck();
    await page.getByRole('button', { name: 'Bring it in' }).click();
    await expect(page.getByText('One template came in')).toBeVisible();
    const link = page.getByRole('link', { name: own('Out and in'), exact: true }).last();
    key = (await link.getAttribute('href'))!.split('/').at(-1)!;
    await link.click();
    await page.getByRole('tab', { name: 'Words' }).click();
    expect(await textIn(wordsOf(page)), form).toBe(text);
  }

  // One alone, from its own page.
  const coming = page.waitForEvent('download');
  await page.getByRole('tab', { name: 'Pencil' }).click();
  await page.getByRole('link', { name: 'text', exact: true }).click();
  const one = await coming;
  expect(readFileSync(await one.path(), 'utf8')).toBe(text);
});
