import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';

test('a form for the business’s own site is opened, filled in by a stranger, and stands among the enquiries', async ({
  page,
  browser,
}, { project }) => {
  const name = `Leopold Farrow ${project.name}`;
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
  await stranger.getByLabel('Day 1').fill('2027-06-15');
  await stranger.getByRole('button', { name: 'Send' }).click();
  await expect(
    stranger.getByText('Please write an email address or a telephone number, so that you can be answered.'),
  ).toBeVisible();
  await expect(stranger.getByText('Please write what it is about.')).toBeVisible();
  // What was typed is still there.
  await expect(stranger.getByLabel('Your name')).toHaveValue(name);
  await expect(stranger.getByLabel('Day 1')).toHaveValue('2027-06-15');
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
  await expect(page.getByText(/15 June: free$/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Make them a client' })).toBeVisible();
  expect((await page.request.get('/ask/no-such-form')).status()).toBe(404);
});
