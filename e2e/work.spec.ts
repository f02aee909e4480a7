import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';

/** The record's own facts, not the list beside it. */
const paper = (page: Page) => page.getByRole('article');

test('an enquiry that came by telephone is written down, and its letter offered', async ({ page }, {
  project,
}) => {
  const name = `Ottilie Vane-${project.name}`;
  const phone = project.name.startsWith('phone');
  // Its own day for each size: the two run beside each other.
  const day = phone ? '2027-03-16' : '2027-03-17';
  await signIn(page);
  await page.goto('/work/enquiries/new');
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Email address').fill('ottilie at home');
  await page.getByLabel('How they asked').fill('telephone');
  await page.getByLabel('What they want done').fill('tuning visit');
  await page.getByLabel('Another day').fill(day);
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText(/: free$/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Write the enquiry down' }).click();
  await expect(page.getByText('This is no email address, as ada@house.example.')).toBeVisible();
  await page.getByLabel('Email address').fill(`ottilie.${project.name}@post.example`);
  await page.getByRole('button', { name: 'Write the enquiry down' }).click();

  // Its letter is offered, and whether the day is free is said again.
  await expect(paper(page).getByRole('heading', { level: 1, name })).toBeVisible();
  await expect(
    page.getByRole('region', { name: 'The letter for it' }).getByRole('link').first(),
  ).toBeVisible();
  await expect(paper(page).getByText(/: free$/)).toBeVisible();
  await expectAccessible(page);
});

test('what stands in the way of a visit is told, and it can be kept all the same', async ({ page }) => {
  await signIn(page);
  await page.goto('/work/bookings/new');
  await page.getByLabel('Client', { exact: true }).fill('reyes');
  await expect(page.getByRole('option', { name: /Ada and Tom Reyes/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByLabel('Client', { exact: true }).press('Enter');
  await expect(page.getByText('Ada and Tom Reyes', { exact: false }).last()).toBeVisible();
  await page.getByLabel('What is done').fill('voicing');
  await page.getByLabel('Done by').selectOption('Teo Marsh');
  // Teo is at Oda Hartigan's on the twenty-sixth from half past nine.
  await page.getByLabel('Begins').fill('2026-11-26T10:00');
  await expect(page.getByText(/^Teo is booked then: Oda Hartigan, tuning visit/)).toBeVisible();
  await page.getByLabel('Begins').fill('2026-11-26T11:10');
  await expect(page.getByText(/^Teo has 10 minutes for the way: Oda Hartigan/)).toBeVisible();
  await page.getByLabel('Done by').selectOption('Runa Okafor');
  await expect(page.getByText('Nothing else is booked then.')).toBeVisible();
  await page.getByLabel('Begins').fill('2026-12-05T11:10');
  await expect(page.getByText('Saturday, 5 December 2026 is a day off.')).toBeVisible();
  await page.getByLabel('Begins').fill('2026-11-24T11:10');
  await expect(page.getByText('Tuesday, 24 November 2026 is past.')).toBeVisible();
});

test('a record is removed and put back', async ({ page }, { project }) => {
  const name = `Hire of stands ${project.name}`;
  await signIn(page);
  await page.goto('/work/partners/new');
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByRole('button', { name: 'Write the partner down' }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  await expectAccessible(page);
  await page.getByText('Remove', { exact: true }).click();
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(page.getByText(`${name} is removed.`)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  // Later it is found under Settings.
  await page.getByText('Remove', { exact: true }).click();
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(page.getByText(`${name} is removed.`)).toBeVisible();
  await page.goto('/settings/removed');
  await expectAccessible(page);
  await page.getByRole('button', { name: `Put ${name} back` }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
});

test('a job is written down with its people, and what was issued is not removed', async ({ page }, {
  project,
}) => {
  const title = `New strings ${project.name}`;
  await signIn(page);
  await page.goto('/work/projects/new?client=college');
  await page.getByLabel('What the job is called').fill(title);
  await page.getByLabel('Begins').fill('2027-02-31');
  await page.getByLabel('Begins').fill('2027-02-01');
  await page.getByLabel('Ends').fill('2027-01-01');
  await page.getByLabel('Worth (GBP)').fill('1,250.50');
  await page.getByRole('checkbox').first().check();
  await page.getByRole('button', { name: 'Write the job down' }).click();
  await expect(page.getByText('It ends before it begins.')).toBeVisible();
  await page.getByLabel('Ends').fill('2027-03-01');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Write the job down' }).click();
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  await expect(page.getByText('£1,250.50')).toBeVisible();
  await page.goto('/work/invoices/LPC-1048');
  await page.getByText('Remove', { exact: true }).click();
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(
    page.getByText('It was issued: its number is its own for good. Make it void instead.'),
  ).toBeVisible();
});

test('services, numbers and payment plans are settled once', async ({ page }, { project }) => {
  const service = `Hire ${project.name}`;
  await signIn(page);
  await page.goto('/settings/work');
  await page.getByRole('button', { name: 'Add a service' }).click();
  const added = page.getByRole('group', { name: /^Service \d+$/ }).last();
  await added.getByLabel('Called').fill('Tuning Visit');
  await added.getByLabel('Minutes').fill('many');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(added.getByText('Write a whole number.')).toBeVisible();
  await added.getByLabel('Minutes').fill('45');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(added.getByText('Another is called that.')).toBeVisible();
  await added.getByLabel('Called').fill(service);
  await added.getByLabel('Price').fill('30');
  await expect(page.getByText(/^The next one is LPC-\d{4}\.$/)).toBeVisible();
  await expectAccessible(page);
  if (!project.name.startsWith('desk')) return;
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Kept.', { exact: true })).toBeVisible();
  await page.goto('/work/bookings/new?client=quist&at=2027-04-06T10:00');
  await page.getByLabel('What is done').fill(service);
  await expect(page.getByLabel('Price')).toHaveValue('30.00');
  await expect(page.getByLabel('Ends')).toHaveValue('2027-04-06T10:45');
});

test('the week shows what is booked; at the desk a visit is dragged, and moved back', async ({ page }, {
  project,
}) => {
  const phone = project.name.startsWith('phone');
  await signIn(page);
  await page.goto('/work/bookings');
  await page.getByRole('link', { name: 'Calendar' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Week of 23 November 2026' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'The week after' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Week of 30 November 2026' })).toBeVisible();
  await page.getByRole('link', { name: 'Month', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: /^(?:November|December) 2026$/ })).toBeVisible();
  await expectAccessible(page);
  // A Saturday on which nothing else is, of its own for each size.
  const day = phone ? '2027-05-08' : '2027-05-15';
  await page.goto(`/work/bookings/new?client=wray&at=${day}T10:00`);
  await page.getByLabel('What is done').fill('humidity check');
  await page.getByRole('button', { name: 'Write the visit down' }).click();
  await expect(paper(page).getByRole('heading', { level: 1, name: 'humidity check' })).toBeVisible();
  await page.goto(`/work/bookings/calendar?view=${phone ? 'day' : 'week'}&day=${day}`);
  const visit = page.getByRole('link', { name: /humidity check/ });
  await expect(visit).toContainText('10:00 to 10:45');
  await expectAccessible(page);
  if (phone) {
    await visit.click();
    await expect(paper(page).getByRole('heading', { level: 1, name: 'humidity check' })).toBeVisible();
    await page.getByRole('button', { name: 'Cancel the visit' }).click();
    await expect(page.getByRole('button', { name: 'It takes place after all' })).toBeVisible();
    await expect(page.getByRole('region', { name: 'The letter for it' })).toBeVisible();
    return;
  }
  const box = (await visit.boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + 8];
  await page.mouse.move(x, y);
  await page.mouse.down();
  // One day earlier, half an hour later: an hour is 48 pixels high.
  await page.mouse.move(x - 20, y + 10, { steps: 3 });
  await page.mouse.move(x - box.width, y + 24, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText('moved to Friday 14 May, 10:30 to 11:15.')).toBeVisible();
  await expect(visit).toContainText('10:30 to 11:15');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(visit).toContainText('10:00 to 10:45');
});

test('a field of the business’s own is made, written, said and kept while it is said', async ({ page }, {
  project,
}) => {
  const label = `doorbell ${project.name}`;
  // All fields are one list: of two who change it at once the later one is asked, so only one size keeps it.
  const keeps = project.name.startsWith('desk');
  await signIn(page);
  await page.goto('/settings/fields');
  const fields = page.getByRole('group', { name: /^Field \d+$/ });
  await expect(fields.first()).toBeVisible();
  const before = await fields.count();
  await page.getByRole('button', { name: 'Add a field' }).click();
  const added = fields.nth(before);
  await added.getByLabel('Called').fill(label);
  await added.getByLabel('Kind of fact').selectOption('choice');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(added.getByText('Write what can be chosen, one a line.')).toBeVisible();
  await added.getByLabel('What can be chosen, one a line').fill('works\nbroken');
  await added.getByLabel('What helps to write it').fill('Pressed once.');
  await expectAccessible(page);
  if (!keeps) return;
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Kept.', { exact: true })).toBeVisible();
  // It stands in the form of a client.
  await page.goto('/clients/quist/change');
  await expect(page.getByText('Pressed once.').first()).toBeVisible();
  await page.getByLabel(new RegExp(`^${label}$`, 'i')).selectOption('works');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText(label).first()).toBeVisible();
  // One that letters say stays, and it is told where.
  await page.goto('/settings/fields');
  const said = fields.filter({ hasText: /Said in \d+ template/ }).first();
  await expect(async () => {
    await said.getByRole('button', { name: 'Take this field out' }).click();
    await expect(page.getByRole('button', { name: 'Put back' })).toBeVisible({ timeout: 1_000 });
  }).toPass();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText(/stays\. It is said in/)).toBeVisible();
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByText(/Said in \d+ template/).first()).toBeVisible();
});

test('links are kept once, each with where it is said', async ({ page }, { project }) => {
  await signIn(page);
  await page.goto('/settings/links');
  const links = page.getByRole('group', { name: /^Link \d+$/ });
  await expect(links.first()).toBeVisible();
  const before = await links.count();
  await expect(page.getByText(/Said in \d+ template/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Add a link' }).click();
  const added = links.nth(before);
  await added.getByLabel('Called').fill(`our stair ${project.name}`);
  await added.getByLabel('Address').fill('ftp://nowhere');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(added.getByText('This is no web address, as https://house.example.')).toBeVisible();
  await added.getByLabel('Address').fill('larkfield.example/stair');
  await expectAccessible(page);
  if (!project.name.startsWith('desk')) return;
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Kept.', { exact: true })).toBeVisible();
  await page.goto('/settings/details');
  await expect(page.getByText(/Said in \d+ templates/).first()).toBeVisible();
  await expectAccessible(page);
});

test('a client who is there twice becomes one, and two again', async ({ page }, { project }) => {
  const address = `mirabel.${project.name}@post.example`;
  const [first, second] = [`Mirabel Stroud ${project.name}`, `Stroud, Mirabel ${project.name}`];
  await signIn(page);
  const headers = { origin: process.env.BASE_URL! };
  const clients = [
    { name: first, kind: 'person', email: address },
    { name: second, kind: 'household', phone: '01632 960155', email: address },
  ];
  const answer = await page.request.post('/api/clients', { data: { clients }, headers });
  const { made } = (await answer.json()) as { made: { key: string }[] };
  await page.goto(`/clients/${made[1]!.key}`);
  await page.getByRole('link', { name: 'New visit' }).click();
  await page.getByLabel('What is done').fill('voicing');
  await page.getByLabel('Begins').fill(`2027-08-1${project.name.startsWith('desk') ? 1 : 2}T10:00`);
  await page.getByRole('button', { name: 'Write the visit down' }).click();
  await expect(paper(page).getByRole('heading', { level: 1, name: 'voicing' })).toBeVisible();

  await page.goto(`/clients/${made[0]!.key}`);
  await page.getByRole('link', { name: 'Is this client there twice?' }).click();
  await expectAccessible(page);
  await page.getByRole('article').getByRole('link', { name: second }).click();
  await page.getByRole('group', { name: 'Kind' }).getByLabel('household').check();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make one of them' }).click();
  await expect(paper(page).getByRole('heading', { level: 1, name: first })).toBeVisible();
  await expect(page.getByText('household').last()).toBeVisible();
  await expect(page.getByText('01632 960155')).toBeVisible();
  await expect(paper(page).getByRole('link', { name: 'voicing' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make two of them again' }).click();
  await expect(paper(page).getByRole('heading', { level: 1, name: second })).toBeVisible();
  await expect(paper(page).getByRole('link', { name: 'voicing' })).toBeVisible();
});
