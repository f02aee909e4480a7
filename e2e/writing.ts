import { expect, type APIRequestContext, type Locator, type Page } from '@playwright/test';

const MAILBOX = process.env.MAILBOX_URL!;

export interface Received {
  subject: string;
  text: string;
  html: string;
  to: string[];
  receivedAt: string;
  headers: { name: string; value: string }[];
  attachments: { name: string; size: number; sha256: string }[];
}

const BEGAN = new Date().toISOString();

/** The letters an address has got since the tests began: those of the demonstration lay there before. */
export async function mailboxOf(request: APIRequestContext, to: string): Promise<Received[]> {
  const all = await (await request.get(`${MAILBOX}/letters?to=${encodeURIComponent(to)}`)).json();
  return (all as Received[]).filter(({ receivedAt }) => receivedAt >= BEGAN);
}

/** Lets every query of the proof stand, as a writer who has read them and means it. */
export async function stetAll(letter: Locator): Promise<void> {
  await showAllMarks(letter);
  const stet = letter.getByRole('button', { name: 'Stet' });
  for (let left = await stet.count(); left > 0; left = await stet.count()) {
    // What was asked of words that were still being typed goes by itself.
    await stet
      .first()
      .click({ timeout: 3_000 })
      .catch(() => undefined);
    await expect.poll(() => stet.count()).toBeLessThan(left);
  }
}

/** On a phone the marks come one at a time, unless all are asked for. */
export async function showAllMarks(letter: Locator): Promise<void> {
  const more = letter.getByRole('button', { name: /^\d+ more$/ });
  await expect(letter.getByRole('status').filter({ hasText: /^(?:Waits for|Proof)/ })).toBeVisible();
  if (await more.isVisible()) await more.click();
}

/** The letters of an address with a subject, and with some words, once there are any. */
export async function arrived(
  request: APIRequestContext,
  to: string,
  subject: string,
  words = '',
): Promise<Received[]> {
  let found: Received[] = [];
  await expect
    .poll(
      async () => {
        found = (await mailboxOf(request, to)).filter(
          (letter) => letter.subject === subject && letter.text.includes(words),
        );
        return found.length;
      },
      { timeout: 40_000 },
    )
    .toBeGreaterThan(0);
  return found;
}

/** Lets the next letter to an address be refused. */
export async function refuseNext(
  request: APIRequestContext,
  to: string,
  code: number,
  words: string,
): Promise<void> {
  await request.post(`${MAILBOX}/refuse`, { data: { code, words, to } });
}

/** Lets nothing answer by SMTP for a while. */
export async function mailServerAway(request: APIRequestContext, milliseconds: number): Promise<void> {
  await request.post(`${MAILBOX}/away`, { data: { milliseconds } });
}

/** The page that is written on, once it can be. */
export async function editable(page: Page): Promise<Locator> {
  const letter = page.getByRole('textbox', { name: 'Letter' });
  await expect(letter).toBeVisible();
  return letter;
}

/** Puts the caret at the end of the paragraph with some words and types. */
export async function typeBehind(page: Page, words: string | RegExp, typed: string): Promise<void> {
  const letter = await editable(page);
  await letter.focus();
  const paragraph = letter.getByRole('paragraph').filter({ hasText: words }).last();
  await paragraph.evaluate((node) => getSelection()!.collapse(node, node.childNodes.length));
  await page.keyboard.type(typed);
}

/** Opens a fact from the page: on a desk it stands beside it under its record, on a phone it rises from below. */
export async function openNote(page: Page, label: string, words: string): Promise<Locator> {
  await (await editable(page)).getByText(words, { exact: true }).first().click();
  const note = page
    .getByRole('complementary', { name: 'Margin' })
    .getByRole('region')
    .filter({ has: page.locator('.fact-line[aria-expanded="true"]') });
  await expect(note.getByRole('button', { name: label }).first()).toHaveAttribute('aria-expanded', 'true');
  return note;
}

/** The one button that sends. */
export function sendButton(letter: Locator): Locator {
  return letter.getByRole('button', { name: 'Send', exact: true });
}

/** Expects the letter to wait, for so many stops and queries. */
export async function expectWaiting(letter: Locator, words: string): Promise<void> {
  await expect(letter.getByRole('status').filter({ hasText: 'Waits for' })).toHaveText(`Waits for ${words}`);
}

export async function expectReady(letter: Locator): Promise<void> {
  await expect(letter.getByText('Proof: nothing in the way')).toBeVisible();
}
