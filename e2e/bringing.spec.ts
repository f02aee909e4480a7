import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';

const file = (name: string, ...lines: string[]) => ({
  name,
  mimeType: 'text/plain',
  buffer: Buffer.from(lines.join('\r\n')),
});
const choose = (page: Page, ...given: Parameters<typeof file>) =>
  page.getByLabel('A file to bring in').setInputFiles(file(...given));
const row = (page: Page, name: string) => page.getByRole('article', { name, exact: true });

test('a table of clients is matched, mended, brought in and taken out again', async ({ page }, {
  project,
}) => {
  // A whole day's work, on page after page.
  test.slow();
  const mine = project.name.replace(/\W/g, ' ');
  await signIn(page);
  await page.goto('/clients');
  await page.getByRole('link', { name: 'From a file' }).click();
  await expect(page).toHaveURL(/bring-in/);
  await expectAccessible(page);
  await choose(page, 'letter.pdf', '%PDF-1.7');
  await expect(page.getByText('letter.pdf: This is neither a table nor cards nor a calendar.')).toBeVisible();

  const lines = (of: string) => [
    `Wer;E-Mail;Telefon;Kunde seit;Farbe (${of})`,
    `Petra Vance ${of};petra at home;01632 960${of.length}77;31.2.2024;red`,
    `Rufus Alder ${of};rufus.${project.name}@alder.example;;3.4.2024;blue`,
    `Oda H;oda@hartigan.example;;;`,
    ';nobody@post.example;;;',
  ];
  const name = `${project.name}.csv`;
  await choose(page, name, ...lines(mine));
  // Nothing is headed as a name: the columns are open, and one is chosen.
  await expect(page.getByText('0 clients come in, 4 stay out until something is said.')).toBeVisible();
  await page.getByLabel('Wer').selectOption({ label: 'Name' });
  await expect(
    page.getByText('2 clients come in, 1 is there already, 1 stays out until something is said.'),
  ).toBeVisible();
  await expectAccessible(page);

  const petra = row(page, `Petra Vance ${mine}`);
  await expect(
    petra.getByText('E-Mail “petra at home”: This is no email address. It is left out.'),
  ).toBeVisible();
  await petra.getByLabel('Email address').fill(`petra.${project.name}@post.example`);
  await petra.getByLabel('Email address').press('Enter');
  await expect(petra.getByText('This is no email address')).toBeHidden();
  // The day is in the order of the business's country, and there is no such day in any.
  await petra.getByLabel('Client since').fill('29 February 2024');
  await petra.getByLabel('Client since').press('Tab');
  await expect(petra.getByText('There is no such day')).toBeHidden();
  await page.getByRole('button', { name: '1 there already' }).click();
  await expect(row(page, 'Oda H').getByText('Oda Hartigan has the same address.')).toBeVisible();

  // What was done to it is still there when the page is come back to.
  await page.waitForTimeout(600);
  await page.reload();
  await expect(
    page.getByText('2 clients come in, 1 is there already, 1 stays out until something is said.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'All 4' }).click();
  await expect(row(page, `Petra Vance ${mine}`).getByText('comes in')).toBeVisible();
  await page.getByRole('button', { name: 'Bring 2 clients in' }).click();
  await expect(page.getByText('2 clients are in.').first()).toBeVisible({ timeout: 20_000 });
  await expectAccessible(page);

  // Found like any other, and the same file again is all there already, its columns as they were taken.
  await choose(page, 'again.csv', ...lines(mine).slice(0, 3));
  await expect(page.getByText(/^0 clients come in, 2 are there already/)).toBeVisible();
  await page.getByRole('button', { name: 'Another file' }).click();
  await page.goto('/clients');
  await page.getByRole('searchbox').fill(`Petra Vance ${mine}`);
  await page.getByRole('link', { name: new RegExp(`Petra Vance ${mine}`) }).click();
  await expect(
    page.getByRole('article').getByText(`petra.${project.name}@post.example`).first(),
  ).toBeVisible();

  await page.goto('/settings/bring-in');
  const brought = page.getByRole('listitem').filter({ hasText: name });
  await brought.getByRole('button', { name: `Take ${name} out again` }).click();
  await expect(brought.getByText('2 clients are out again.')).toBeVisible({ timeout: 20_000 });
  await page.goto('/clients');
  await page.getByRole('searchbox').fill(`Petra Vance ${mine}`);
  await expect(page.getByText('Nothing has these words.')).toBeVisible();
});

test('a calendar asks whose a visit is, by keyboard, and brings it in', async ({ page }, { project }) => {
  const day = project.name.startsWith('phone') ? '20270617' : '20270616';
  await signIn(page);
  await page.goto('/settings/bring-in');
  await choose(
    page,
    'visits.ics',
    ...['BEGIN:VCALENDAR', 'VERSION:2.0', 'BEGIN:VEVENT', `UID:${project.name}-1@post.example`],
    ...['SUMMARY:Tuning visit for Hartigan', `DTSTART;VALUE=DATE:${day}`, 'END:VEVENT'],
    ...['BEGIN:VEVENT', `UID:${project.name}-2@post.example`, 'SUMMARY:Tuning visit\\, Oda Hartigan'],
    ...[`DTSTART;TZID=Europe/London:${day}T140000`, 'DURATION:PT1H', 'END:VEVENT', 'END:VCALENDAR'],
  );
  await expect(page.getByText('1 visit')).toBeHidden();
  const whole = row(page, 'Entry 1');
  await whole.getByLabel('From when to when').fill('09:00-10:30');
  await whole.getByLabel('From when to when').press('Enter');
  const named = row(page, 'tuning visit');
  await expect(named.getByRole('button', { name: 'Oda Hartigan', exact: true })).toBeVisible();
  await named.getByRole('combobox').fill('hartigan');
  await expect(named.getByRole('option').first()).toBeVisible();
  await named.getByRole('combobox').press('Enter');
  await expect(named.getByText('Of Oda Hartigan')).toBeVisible();
  await page.getByRole('button', { name: 'Bring 2 visits in' }).click();
  await expect(page.getByText('2 visits are in.').first()).toBeVisible({ timeout: 20_000 });
  await page.goto('/work/bookings/calendar?by=day&day=' + day.replace(/(\d{4})(\d\d)(\d\d)/, '$1-$2-$3'));
  await expect(page.getByText('Oda Hartigan').first()).toBeVisible();
});

test('without a connection nothing comes in, and nothing is lost', async ({ page, context }, { project }) => {
  await signIn(page);
  await page.goto('/settings/bring-in');
  // What is there already is not known without a connection: nothing comes in unseen, whatever is mended meanwhile.
  await choose(page, 'first.csv', 'Name', 'Oda Hartigan');
  await expect(page.getByText('0 clients come in, 1 is there already.')).toBeVisible();
  await page.getByRole('button', { name: 'Another file' }).click();
  await context.setOffline(true);
  await choose(page, 'none.csv', 'Name,Email', 'Oda Hartigan,', 'Ada N,at home');
  await expect(page.getByText('What is there already could not be looked for.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Bring 2 clients in' })).toBeDisabled();
  await context.setOffline(false);
  const mended = row(page, 'Ada N').getByLabel('Email address');
  await mended.fill(`ada.n.${project.name}@post.example`);
  await mended.press('Enter');
  await expect(row(page, 'Ada N').getByText('This is no email address')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Bring 2 clients in' })).toBeDisabled();
  await page.getByRole('button', { name: 'Look again' }).click();
  await expect(page.getByText('One client comes in, 1 is there already.')).toBeVisible();
  await page.getByRole('button', { name: 'Another file' }).click();
  await choose(
    page,
    'cards.vcf',
    ...['BEGIN:VCARD', 'VERSION:4.0', `FN:Wren Marlow ${project.name}`, 'END:VCARD'],
  );
  await expect(page.getByText('One client comes in.')).toBeVisible();
  // What is there already has been looked for.
  await expect(page.getByRole('button', { name: 'Bring one client in' })).toBeEnabled();
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Bring one client in' }).click();
  await expect(
    page.getByText('There is no connection. Nothing has come in yet: bring it in again.'),
  ).toBeVisible({
    timeout: 30_000,
  });
  await context.setOffline(false);
  await page.getByRole('button', { name: 'Bring one client in' }).click();
  await expect(page.getByText('One client is in.').first()).toBeVisible({ timeout: 20_000 });
});
