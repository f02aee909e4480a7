import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** The heading of Today on the day that the tests are run for (FAIRQUILL_NOW). */
export const TODAY = 'Wednesday 25 November';

/**
 * Signs in as the owner, or another member, without a page; signIn.spec.ts goes through the page itself. Letters that are begun stay on
 * the test's own device: those who test at the same time are one member, and would find them.
 */
export async function signIn(page: Page, ...member: [email: string, password: string] | []): Promise<void> {
  await page
    .context()
    .route('**/api/drafts/*', (route) =>
      route.request().method() === 'PUT'
        ? route.fulfill({ status: 503, json: { error: 'Not for the server.' } })
        : route.fallback(),
    );
  await signInOnDevice(page, ...member);
}

/** The same, on one of several devices: what is begun there goes on on the others. */
export async function signInOnDevice(
  page: Page,
  email = 'imke@larkfield.example',
  password = 'larkfield-imke',
): Promise<void> {
  const headers = { origin: process.env.BASE_URL! };
  const answer = await page.request.post('/api/session', { data: { email, password }, headers });
  expect(answer.ok()).toBe(true);
}

/** Signs in, and opens Today. */
export async function openToday(
  page: Page,
  ...member: [email: string, password: string] | []
): Promise<void> {
  await signIn(page, ...member);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: TODAY })).toBeVisible();
}

/** Whether axe finds nothing against WCAG 2.2 AA on the page as it is, and nothing of it lies beside the window. */
export async function expectAccessible(page: Page): Promise<void> {
  // After going to another page its title comes last, and that of the page before goes first.
  await expect
    .poll(async () => {
      const title = await page.title();
      await page.waitForTimeout(200);
      return title.trim() !== '' && title === (await page.title());
    })
    .toBe(true);
  // A colour on its way to another is neither: one may set out at any moment, as the pointer comes to lie over something.
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await page.evaluate(() =>
    Promise.all(document.getAnimations().map(({ finished }) => finished.catch(() => undefined))),
  );
  // A letter's own frame runs no scripts, axe's included: what is in it is checked apart.
  const { violations } = await axe(page)
    .exclude('iframe')
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  const found: string[] = [];
  for (const { id, nodes } of violations)
    for (const { html, target } of nodes)
      if (await stands(page, id, String(target[0]))) found.push(`${id}: ${html}`);
  await page.emulateMedia({ reducedMotion: null });
  const width = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(width, 'as wide as the window').toBeLessThanOrEqual(page.viewportSize()!.width);
  expect(found).toEqual([]);
}

/** Whether what axe has found is there when it is looked at once more. */
async function stands(page: Page, id: string, selector: string): Promise<boolean> {
  if (id === 'target-size') return isTooSmall(page, selector);
  // A page that follows what becomes of letters is without its title for a moment.
  if (id === 'document-title')
    return !(await expect
      .poll(() => page.title())
      .not.toBe('')
      .then(
        () => true,
        () => false,
      ));
  return true;
}

function axe(page: Page): AxeBuilder {
  // Without frames there is nothing to gather from, so that the second page axe opens for that is only slow.
  return new AxeBuilder({ page }).setLegacyMode();
}

/** Whether something to press is too small where all of it is in sight, not half under what stays in view. */
async function isTooSmall(page: Page, selector: string): Promise<boolean> {
  await page.locator(selector).evaluate((element) => element.scrollIntoView({ block: 'center' }));
  const { violations } = await axe(page).include(selector).withRules(['target-size']).analyze();
  return violations.length > 0;
}
