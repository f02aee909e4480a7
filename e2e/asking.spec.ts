import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { editable } from './writing';

/** The record's own facts, not the list beside it. */
const paper = (page: Page) => page.getByRole('article');

test('a stranger’s enquiry by the form for the business’s own site becomes a visit, an invoice and a payment, each with its letter', async ({
  page,
  browser,
}, { project }) => {
  test.slow();
  const name = `Leopold Farrow ${project.name}`;
  // Its own day for each size: the two run beside each other.
  const day = project.name.startsWith('phone') ? '2027-03-09' : '2027-03-10';
  await signIn(page);
  await page.goto('/settings/enquiry-form');
  await expect(async () => {
    await page.getByLabel('Sites that may show it in a frame').fill('');
    await page.getByLabel('Sites that may show it in a frame').fill('larkfield');
    await expect(page.getByText('Not kept yet. It stays on this device.')).toBeVisible({ timeout: 1_000 });
  }).toPass();
  await page.getByLabel('The form is open').check();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Write each site as https://house.example, one a line.')).toBeVisible();
  await page.getByLabel('Sites that may show it in a frame').fill('https://larkfield.example');
  await page.getByLabel('What stands above it').fill('We answer within two days.');
  await expectAccessible(page);
  const link = page.getByRole('link', { name: /\/ask\// });
  // Both sizes open it at once: the later one takes over what the other wrote, and keeps it again.
  await expect(async () => {
    const keep = page.getByRole('button', { name: 'Keep', exact: true });
    if (await keep.isDisabled()) await page.reload();
    else await keep.click();
    await expect(link).toBeVisible({ timeout: 2_000 });
  }).toPass();
  await expectAccessible(page);
  const address = (await link.getAttribute('href'))!;

  const stranger = await (await browser.newContext({ viewport: page.viewportSize()! })).newPage();
  const came = await stranger.goto(address);
  expect(came!.headers()['content-security-policy']).toContain('frame-ancestors https://larkfield.example');
  await expect(stranger.getByText('We answer within two days.')).toBeVisible();
  await expectAccessible(stranger);
  await stranger.getByLabel('Your name').fill(name);
  await stranger.getByLabel('What you would like').selectOption('tuning visit');
  await stranger.getByLabel('Day 1').fill(day);
  await stranger.getByRole('button', { name: 'Send' }).click();
  await expect(
    stranger.getByText('Please write an email address or a telephone number, so that you can be answered.'),
  ).toBeVisible();
  await expect(stranger.getByText('Please write what it is about.')).toBeVisible();
  // What was typed is still there.
  await expect(stranger.getByLabel('Your name')).toHaveValue(name);
  await expect(stranger.getByLabel('Day 1')).toHaveValue(day);
  await expectAccessible(stranger);
  await stranger.getByLabel('Telephone').fill('01632 960188');
  await stranger.getByLabel('What it is about').fill('The upright in the <b>hall</b>.');
  // Nobody fills it in within a moment.
  await stranger.waitForTimeout(3_200);
  await stranger.getByRole('button', { name: 'Send' }).click();
  await expect(
    stranger.getByText(`Thank you, ${name}. Your message has arrived, and you will be answered.`),
  ).toBeVisible();
  await stranger.context().close();

  await page.goto('/work/enquiries');
  await page.getByRole('link', { name: new RegExp(name) }).click();
  await expect(page.getByText('The upright in the <b>hall</b>.')).toBeVisible();
  await expect(page.getByText(/March: free$/)).toBeVisible();
  const letter = page.getByRole('region', { name: 'The letter for it' });
  await page.getByRole('link', { name: 'Make them a client' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
  await page.getByLabel('Street').first().fill('3 Ropewalk');
  await page.getByRole('button', { name: 'Write the client down' }).click();
  // Back at the enquiry, which is theirs now.
  await page.getByRole('link', { name: 'New visit', exact: true }).last().click();
  await expect(page.getByLabel('What is done')).toHaveValue('tuning visit');
  await expect(page.getByLabel('Begins')).toHaveValue(`${day}T09:00`);
  await expect(page.getByLabel('Ends')).toHaveValue(`${day}T10:30`);
  await expect(page.getByLabel('Price')).toHaveValue('78.00');
  await expect(page.getByLabel('Street')).toHaveValue('3 Ropewalk');
  // Moved, it keeps its length; by somebody who is free.
  await page.getByLabel('Begins').fill(`${day}T14:15`);
  await expect(page.getByLabel('Ends')).toHaveValue(`${day}T15:45`);
  await expect(page.getByText('1 hour, 30 minutes')).toBeVisible();
  await page.getByLabel('Done by').selectOption('Teo Marsh');
  await expect(page.getByText('Nothing else is booked then.')).toBeVisible();
  await page.getByLabel('How it stands').selectOption('confirmed');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Write the visit down' }).click();

  await expect(paper(page).getByRole('heading', { level: 1, name: 'tuning visit' })).toBeVisible();
  await letter.getByRole('link').first().click();
  await expect(await editable(page)).toContainText('Leopold');
  await page.goBack();
  await expect(paper(page).getByRole('heading', { level: 1, name: 'tuning visit' })).toBeVisible();
  await page.getByRole('link', { name: 'New invoice' }).last().click();
  await expect(page.getByLabel('What', { exact: true })).toHaveValue(/^Tuning visit, (?:9|10) March 2027$/);
  await expect(page.getByText('£78.00 and £15.60 tax: £93.60 in all.')).toBeVisible();
  await page.getByRole('button', { name: 'Lay “half and half” over it' }).click();
  await expect(page.getByRole('group', { name: 'Part 2' }).getByLabel('Amount')).toHaveValue('46.80');
  // The parts must come to the whole.
  await page.getByRole('group', { name: 'Part 2' }).getByLabel('Amount').fill('46.00');
  await page.getByRole('button', { name: 'Keep as a draft' }).click();
  await expect(page.getByText('The parts come to 92.80, the invoice to 93.60.')).toBeVisible();
  await page.getByRole('group', { name: 'Part 2' }).getByLabel('Amount').fill('46.80');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep as a draft' }).click();

  await expect(page.getByRole('heading', { level: 1, name: 'A draft of an invoice' })).toBeVisible();
  await page.getByRole('button', { name: 'Issue it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /^Invoice LPC-\d{4}$/ })).toBeVisible();
  await expect(letter.getByRole('link').first()).toBeVisible();
  await expectAccessible(page);
  await page.getByText('Record a payment').click();
  await page.getByRole('button', { name: 'Record', exact: true }).click();
  await expect(page.getByText('93.60 GBP written down.')).toBeVisible();
  await expect(letter.getByRole('link').first()).toBeVisible();
  expect((await page.request.get('/ask/no-such-form')).status()).toBe(404);
});
