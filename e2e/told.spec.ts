import { expect, test } from '@playwright/test';
import { narrowPost } from './narrowPost';
import { expectAccessible, signIn } from './signedIn';

const MAILBOX = process.env.MAILBOX_URL!;

/** A member and a client of its own for each size. */
const OWN = {
  'desk-later': {
    email: 'runa@larkfield.example',
    password: 'larkfield-runa',
    from: 'hosseini@post.example',
  },
  'phone-later': { email: 'teo@larkfield.example', password: 'larkfield-teo', from: 'ivarsson@post.example' },
} as const;

test('a letter each morning is wanted, at an hour, and not wanted any more', async ({ page }, {
  project,
}) => {
  const { email, password } = OWN[project.name as keyof typeof OWN];
  await signIn(page, email, password);
  await page.goto('/settings');
  await page.getByRole('link', { name: /How you are told/ }).click();
  const hour = page.getByLabel('A letter to yourself with what waits');
  await expect(hour).toHaveValue('');
  await hour.selectOption('at 08:00');
  await expect(page.getByText('It comes from the next morning')).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await expect(hour).toHaveValue('8');
  await hour.selectOption('none');
  await expect(page.getByText('None comes any more.')).toBeVisible();
  await page.reload();
  await expect(hour).toHaveValue('');
});

test('a device tells of what comes in while no page is in front, where that is wanted', async ({
  page,
  context,
  request,
}, { project }) => {
  const { email, password, from } = OWN[project.name as keyof typeof OWN];
  await context.grantPermissions(['notifications']);
  // What the browser is asked to show, and whether somebody looks at the page.
  await page.addInitScript(() => {
    const shown: string[] = [];
    Object.assign(window, { shown });
    const Shown = function (title: string, { body }: { body: string }) {
      shown.push(`${title}: ${body}`);
    };
    const allowed = { permission: 'granted', requestPermission: () => Promise.resolve('granted') };
    Object.assign(window, { Notification: Object.assign(Shown, allowed) });
    let state = 'visible';
    Object.defineProperty(document, 'visibilityState', { get: () => state });
    Object.assign(window, {
      look: (next: string) => {
        state = next;
        document.dispatchEvent(new Event('visibilitychange'));
      },
    });
  });
  const shown = () => page.evaluate(() => (window as unknown as { shown: string[] }).shown);
  const look = (state: string) =>
    page.evaluate((next) => (window as unknown as { look: (state: string) => void }).look(next), state);
  const write = async (subject: string) => {
    const data = { from: `Somebody <${from}>`, to: email, subject, text: 'Is there a key?' };
    expect((await request.post(`${MAILBOX}/write`, { data })).ok()).toBe(true);
  };

  await signIn(page, email, password);
  await page.goto('/settings/told');
  await page.getByRole('button', { name: 'Show notices here' }).click();
  await expect(page.getByText('This device shows them from now on')).toBeVisible();
  await expectAccessible(page);

  // In front, the page itself shows it, above all that came before it.
  await page.goto('/post');
  await narrowPost(page, 'Came in');
  const subject = `Noticed, ${project.name}`;
  await write(`${subject} in front`);
  await expect(page.getByText(`${subject} in front`).filter({ visible: true }).first()).toBeVisible();
  await page.waitForTimeout(1_000);
  expect(await shown()).toEqual([]);

  await look('hidden');
  await write(`${subject} behind`);
  await expect.poll(shown).toEqual([`Somebody: ${subject} behind`]);
  // Told once, whatever else comes.
  await write(`${subject} again`);
  await expect.poll(shown).toEqual([`Somebody: ${subject} behind`, `Somebody: ${subject} again`]);

  await look('visible');
  await page.goto('/settings/told');
  await page.getByRole('button', { name: 'Show none here' }).click();
  await expect(page.getByText('This device shows none from now on.')).toBeVisible();
  await look('hidden');
  await write(`${subject} no more`);
  await page.waitForTimeout(1_500);
  expect(await shown()).toEqual([]);
});
