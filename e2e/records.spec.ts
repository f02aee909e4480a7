import { expect, test, type Locator, type Page } from '@playwright/test';
import { reach } from './keys';
import { expectAccessible, signIn } from './signedIn';

async function press(page: Page, target: Locator, key = 'Enter'): Promise<void> {
  await reach(page, target);
  await page.keyboard.press(key);
}

/** Writes in a field what stands there instead, by keys alone. */
async function write(page: Page, label: string, words: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await reach(page, field);
  // A control for days and times has parts, which it goes through by itself.
  if ((await field.getAttribute('type'))?.startsWith('date')) return field.fill(words);
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type(words);
}

interface Kind {
  kind: string;
  /** the page of a new one */
  path: string;
  /** what is written first, by the fields' labels; NAME stands for a name of its own */
  fields: Record<string, string>;
  heading: string | RegExp;
  /** what is changed then, and what the page then says */
  change: [label: string, words: string, said: string];
  /** its page is its form */
  isForm?: true;
}

const KINDS: Kind[] = [
  {
    kind: 'client',
    path: '/clients/new',
    fields: { Name: 'NAME', Telephone: '01632 960188' },
    heading: 'NAME',
    change: ['How they found you', 'the post office', '01632 960188'],
  },
  {
    kind: 'enquiry',
    path: '/work/enquiries/new',
    fields: { Name: 'NAME', 'How they asked': 'telephone', 'What they want done': 'voicing' },
    heading: 'NAME',
    change: ['How they asked', 'at the market', 'at the market'],
  },
  {
    kind: 'project',
    path: '/work/projects/new?client=wray',
    fields: { 'What the job is called': 'NAME', 'Worth (GBP)': '900' },
    heading: 'NAME',
    change: ['Worth (GBP)', '1000.50', '£1,000.50'],
  },
  {
    kind: 'booking',
    path: '/work/bookings/new?client=wray&at=2028-02-DAYT10:00',
    fields: { 'What is done': 'NAME', 'Price (GBP)': '60' },
    heading: 'NAME',
    change: ['Price (GBP)', '65', '£65.00'],
  },
  {
    kind: 'invoice',
    path: '/work/invoices/new?client=wray',
    fields: { What: 'NAME', 'One costs (GBP)': '40' },
    heading: 'A draft of an invoice',
    change: ['One costs (GBP)', '45', '£54.00'],
  },
  {
    kind: 'partner',
    path: '/work/partners/new',
    fields: { Name: 'NAME', 'What they do': 'movers' },
    heading: 'NAME',
    change: ['What they do', 'movers with a lift', 'movers with a lift'],
    isForm: true,
  },
];

for (const { kind, path, fields, heading, change, isForm } of KINDS)
  test(`${/^[aeiou]/.test(kind) ? 'an' : 'a'} ${kind} is made, changed, removed and put back by keyboard alone`, async ({
    page,
  }, { project }) => {
    test.slow();
    const own = (words: string) =>
      words
        .replace('NAME', `Keys of ${kind} ${project.name}`)
        .replace('DAY', project.name.startsWith('desk') ? '03' : '04');
    const title = page.getByRole('heading', { level: 1, name: own(String(heading)) });
    await signIn(page);
    await page.goto(own(path));
    for (const [label, words] of Object.entries(fields)) await write(page, label, own(words));
    await expectAccessible(page);
    await page.keyboard.press('ControlOrMeta+Enter');
    await expect(title).toBeVisible();

    const [label, words, said] = change;
    const changed = isForm
      ? () => expect(page.getByLabel(label, { exact: true })).toHaveValue(said)
      : () => expect(page.getByRole('article')).toContainText(said);
    if (!isForm)
      await press(page, page.getByRole('article').getByRole('link', { name: 'Change', exact: true }));
    const [first, named] = Object.entries(fields)[0]!;
    await expect(page.getByLabel(first, { exact: true })).toHaveValue(own(named));
    await write(page, label, words);
    await page.keyboard.press('ControlOrMeta+Enter');
    if (isForm) await expect(page.getByText('Kept.', { exact: true })).toBeVisible();
    await expect(title).toBeVisible();
    await changed();

    await press(page, page.getByText('Remove', { exact: true }), 'Enter');
    await press(page, page.getByRole('button', { name: 'Remove it' }));
    await expect(page.getByText(' is removed.')).toBeVisible();
    await expect(title).toBeHidden();
    await press(page, page.getByRole('button', { name: 'Put back' }));
    await expect(title).toBeVisible();
    await changed();
    await expectAccessible(page);
  });
