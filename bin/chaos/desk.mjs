import { chromium } from '@playwright/test';
import { ARGS, ensureChromium } from '../setup/chromium.mjs';

/** The template that is written on. */
const TEMPLATE = '/templates/short-note';
/** How often a word is typed, and how long may pass until the server has the last one, in milliseconds. */
const EVERY = 250;
const LAST = 120_000;

/** A template's page in a browser, to be typed on whatever becomes of the server. */
export async function openDesk(port) {
  const base = `http://127.0.0.1:${port}`;
  const browser = await chromium.launch({ executablePath: await ensureChromium(), args: ARGS });
  const words = [];
  const open = async () => {
    const page = await (await browser.newContext({ baseURL: base })).newPage();
    const answer = await page.request.post('/api/session', {
      headers: { origin: base },
      data: { email: 'imke@larkfield.example', password: 'larkfield-imke' },
    });
    if (!answer.ok()) throw new Error(`Signing in was answered with ${answer.status()}.`);
    await page.goto(TEMPLATE);
    const pencil = page.getByRole('textbox', { name: 'Template' });
    await pencil.waitFor();
    return { page, pencil };
  };
  const { page, pencil } = await open();
  await pencil.getByText('Hello').click();
  await page.keyboard.press('End');
  return {
    async typeUntil(done) {
      let isDone = false;
      void done.finally(() => (isDone = true));
      while (!isDone) {
        const word = `w${words.length}`;
        await page.keyboard.type(` ${word}`);
        words.push(word);
        await page.waitForTimeout(EVERY);
      }
    },
    /** Once the server has what was typed: what of it another device finds. Closes the browser. */
    async count() {
      try {
        await page.getByText('A draft, kept for you.').waitFor({ timeout: LAST });
        const { pencil: there } = await open();
        const found = new Set((await there.innerText()).split(/[\s,]+/));
        return { typed: words.length, lost: words.filter((word) => !found.has(word)).length };
      } finally {
        await browser.close();
      }
    },
  };
}
