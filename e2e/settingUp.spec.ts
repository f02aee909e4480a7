import { expect, test, type Page } from '@playwright/test';
import pg from 'pg';
import { expectAccessible } from './signedIn';
import type { Received } from './writing';

// An application of its own, over a database in which nobody has made a business yet.

const BASE = process.env.EMPTY_URL!;
const SIZES = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } };
const PASSWORD = 'a few good words';

test.describe.configure({ mode: 'serial', timeout: 120_000 });
test.skip(() => test.info().project.name !== 'desk', 'Both sizes are taken in turn over the one database.');
test.use({ baseURL: BASE });

/** What its user presses and types in, counted. */
class Presses {
  count = 0;
  readonly began = Date.now();

  constructor(readonly page: Page) {}

  async press(name: string | RegExp, role: 'button' | 'link' = 'button'): Promise<void> {
    this.count++;
    await this.page.getByRole(role, { name, exact: typeof name === 'string' }).click();
  }

  async type(label: string | RegExp, words: string): Promise<void> {
    this.count++;
    await this.page.getByLabel(label).fill(words);
  }
}

async function emptied(): Promise<void> {
  const client = new pg.Client({ connectionString: process.env.EMPTY_DATABASE_URL });
  await client.connect();
  await client.query('truncate business cascade');
  await client.end();
}

async function arrived(page: Page, to: string, subject: RegExp): Promise<Received> {
  const path = `${process.env.EMPTY_MAILBOX_URL}/letters?to=${encodeURIComponent(to)}`;
  let found: Received | undefined;
  await expect
    .poll(
      async () => {
        const letters = (await (await page.request.get(path)).json()) as Received[];
        found = letters.find((letter) => subject.test(letter.subject));
        return found !== undefined;
      },
      { timeout: 40_000 },
    )
    .toBe(true);
  return found!;
}

for (const [size, viewport] of Object.entries(SIZES)) {
  test.describe(size, () => {
    test.use({ viewport, hasTouch: size === 'phone', isMobile: size === 'phone' });

    test('from an empty database to a first letter', async ({ page }) => {
      await emptied();
      const owner = `ada.${size}@quaygardens.example`;
      const client = `lind.${size}@post.example`;
      const user = new Presses(page);
      await page.goto('/');
      await expect(page.getByText('There is no business here yet.')).toBeVisible();
      await expectAccessible(page);
      // What is wrong is said at its field, and what was typed stays.
      await page.getByRole('button', { name: 'Make my business' }).click();
      await expect(page.getByText('Write what clients call your business.')).toBeVisible();
      await expectAccessible(page);
      await user.type('Your business is called', 'Quay Gardens');
      await user.type('Your name', 'Ada Reyes');
      await user.type('Your email address', owner);
      await page.getByLabel('A password').fill('short');
      await page.getByLabel('A password').blur();
      await expect(page.getByLabel('A password')).toHaveAccessibleDescription(/At least 10 characters/);
      await user.type('A password', PASSWORD);
      await user.press('Make my business');

      // The first of a new server: it reads all that a business begins with.
      await expect(page.getByRole('heading', { name: 'Your business' })).toBeVisible({ timeout: 40_000 });
      await expectAccessible(page);
      await user.type('How to pay you', 'Quay Gardens, 00-00-00, 12345678');
      await user.press('Keep and go on');
      await expect(page.getByRole('heading', { name: 'You', exact: true })).toBeVisible();
      await expectAccessible(page);
      await user.type('What you do', 'Gardener');
      await user.press('Keep and go on');
      await expect(page.getByText('For trying out: letters go to a mailbox')).toBeVisible();
      await expectAccessible(page);
      await user.press('That is right');
      const jotted = page.getByLabel(/^One client a line/);
      await jotted.fill(`Oda and Per Lind, ${client}\nnobody@post.example`);
      await expect(page.getByText('Line 2: There is no name in it.')).toBeVisible();
      await expectAccessible(page);
      // Nobody goes on without what was typed; left and come back to, it is still there.
      await page.getByRole('button', { name: 'Go on' }).click();
      await expect(page.getByText('Write the clients down first, or take the lines out.')).toBeVisible();
      await page.reload();
      await expect(jotted).toHaveValue(/Oda and Per Lind/);
      await user.type(/^One client a line/, `Oda and Per Lind, ${client}, 01632 960100`);
      await user.press('Write it down');
      await expect(page.getByText('Oda and Per Lind is written down.')).toBeVisible();
      await user.press('Go on');
      const confirmed = page.getByRole('listitem').filter({ hasText: 'Booking confirmed' });
      await expect(confirmed.last()).toContainText('one part to replace');
      await expectAccessible(page);
      await user.press('Not now');
      await user.press('Send a trial');
      await expect(page.getByText('On its way to Ada Reyes, and to nobody else.')).toBeVisible();
      await expectAccessible(page);
      const trial = await arrived(page, owner, /^Trial: Is it time again/);
      expect(trial.text).toContain('Hello Oda and Per,');
      expect(trial.text).toContain('Gardener');
      await user.press('All set up');

      // How far one is stands on Today until it is done, or left.
      await expect(page.getByText('5 of 6 done.')).toBeVisible();
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Leave it at that' }).click();
      await expect(page.getByText('5 of 6 done.')).toHaveCount(0);

      await user.press('Clients', 'link');
      await user.press(/^Oda and Per Lind/, 'link');
      await user.press('Write', 'link');
      const letter = page.getByRole('textbox', { name: 'Letter' });
      await expect(letter).toContainText('Hello Oda and Per,');
      await expect(page.getByText('Proof: nothing in the way')).toBeVisible();
      await user.press('Send');
      const first = await arrived(page, client, /./);
      expect(first.text).toContain('Ada Reyes');
      const seconds = ((Date.now() - user.began) / 1000).toFixed(0);
      console.log(
        `From an empty database to a first letter in the mailbox (${size}): ${user.count} presses and fields, ${seconds} s with all that was looked at`,
      );
    });

    test('own details are changed by two people at once: the later one sees both', async ({
      page,
      context,
    }) => {
      await page.request.post('/api/session', {
        data: { email: `ada.${size}@quaygardens.example`, password: PASSWORD },
        headers: { origin: BASE },
      });
      await page.goto('/settings');
      await page.getByRole('link', { name: /^Own details/ }).click();
      await expect(page.getByLabel('Legal name')).toHaveValue('');
      await expectAccessible(page);
      const other = await context.newPage();
      await other.goto('/settings/details');
      await other.getByLabel('Telephone').fill('01632 960111');
      await other.getByLabel('Legal name').fill('Quay Gardens Limited');
      await other.getByRole('button', { name: 'Keep', exact: true }).click();
      await expect(other.getByText('Kept.')).toBeVisible();
      // Typed, left, and come back to.
      await page.getByLabel('Telephone').fill('01632 960122');
      await page.getByLabel('Website').fill('quay');
      await page.getByLabel('Website').blur();
      await expect(page.getByText('This is no web address, as https://house.example.')).toBeVisible();
      await page.reload();
      await expect(page.getByText('You wrote this here before and have not kept it.')).toBeVisible();
      await expect(page.getByLabel('Telephone')).toHaveValue('01632 960122');
      await page.getByLabel('Website').fill('https://quaygardens.example');
      await page.getByLabel('Website').press('Control+Enter');
      await expect(page.getByText(/^Somebody has changed this since you opened it/)).toBeVisible();
      // What the other changed alone is taken over; what both changed is asked about.
      await expect(page.getByLabel('Legal name')).toHaveValue('Quay Gardens Limited');
      await expect(page.getByText('Somebody else wrote: 01632 960111.')).toBeVisible();
      await expectAccessible(page);
      await page.getByRole('button', { name: 'Take that' }).click();
      await expect(page.getByLabel('Telephone')).toHaveValue('01632 960111');
      await page.getByRole('button', { name: 'Keep', exact: true }).click();
      await expect(page.getByText('Kept.')).toBeVisible();
      await page.reload();
      await expect(page.getByLabel('Website')).toHaveValue('https://quaygardens.example');
      await expect(page.getByText('You wrote this here before')).toHaveCount(0);
    });

    test('without a connection what was typed stays', async ({ page, context }) => {
      await page.request.post('/api/session', {
        data: { email: `ada.${size}@quaygardens.example`, password: PASSWORD },
        headers: { origin: BASE },
      });
      await page.goto('/settings/you');
      await page.getByLabel('Mobile').fill('07700 900123');
      await context.setOffline(true);
      await page.getByRole('button', { name: 'Keep', exact: true }).click();
      await expect(page.getByText('There is no connection. What you wrote is still here.')).toBeVisible();
      await expectAccessible(page);
      await context.setOffline(false);
      await page.getByRole('button', { name: 'Keep', exact: true }).click();
      await expect(page.getByText('Kept.')).toBeVisible();
    });
  });
}
