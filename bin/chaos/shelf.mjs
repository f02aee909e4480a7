import { chromium } from '@playwright/test';
import { ARGS, ensureChromium } from '../setup/chromium.mjs';

/** Whom letters are written to, one after the other. */
const CLIENTS = [
  'ashdown',
  'barrow',
  'fenwick',
  'kowal',
  'latimer',
  'maseko',
  'rao',
  'stroud',
  'teague',
  'wray',
];
/** How long a page may take to come, and to say what became of a letter, in milliseconds. */
const PATIENCE = 20_000;
const LAST = 120_000;

const LEFT = /It waits on this device|Going\.|Sent\.|asked again|It waits\./;

/** Letters that are written and sent on a page, whatever becomes of the server: without one they wait on the device. */
export async function openShelf(port) {
  const base = `http://127.0.0.1:${port}`;
  const browser = await chromium.launch({ executablePath: await ensureChromium(), args: ARGS });
  const context = await browser.newContext({ baseURL: base, serviceWorkers: 'block' });
  const page = await context.newPage();
  /** those of which the page has said that they are out of their writer's hands, and the one that was given last */
  const out = new Set();
  let last;
  let waited = 0;
  page.on('request', (request) => {
    if (request.method() === 'POST' && new URL(request.url()).pathname === '/api/letters')
      last = request.postDataJSON().id;
  });
  const answer = await page.request.post('/api/session', {
    headers: { origin: base },
    data: { email: 'imke@larkfield.example', password: 'larkfield-imke' },
  });
  if (!answer.ok()) throw new Error(`Signing in was answered with ${answer.status()}.`);

  const sendOne = async (client) => {
    const before = last;
    await page.goto(`/write?from=client:${client}&template=statement-of-account`, { timeout: PATIENCE });
    const letter = page.getByRole('article', { name: /^Letter to/ });
    await page.getByRole('textbox', { name: 'Letter' }).waitFor({ timeout: PATIENCE });
    const stet = letter.getByRole('button', { name: 'Stet' });
    const left = letter.getByText(LEFT).first();
    for (const until = Date.now() + PATIENCE; Date.now() < until && !(await left.isVisible());) {
      while (await stet.first().isVisible()) await stet.first().click({ timeout: PATIENCE });
      const send = letter.getByRole('button', { name: 'Send', exact: true });
      if (await send.isEnabled({ timeout: 500 }).catch(() => false))
        await send.click({ timeout: 2000 }).catch(() => undefined);
      await page.waitForTimeout(300);
    }
    const words = await left.innerText({ timeout: 1000 });
    // What is kept on the device first is given a moment later.
    for (const until = Date.now() + PATIENCE; last === before; await page.waitForTimeout(100))
      if (Date.now() > until) throw new Error('It was not given.');
    out.add(last);
    if (/waits on this device/.test(words)) waited++;
  };

  return {
    async sendUntil(done) {
      let isDone = false;
      void done.finally(() => (isDone = true));
      for (let at = 0; !isDone; at++)
        // A page that does not come is asked for again.
        await sendOne(CLIENTS[at % CLIENTS.length]).catch(() => page.waitForTimeout(500));
    },
    /** Once nothing waits on the device any more: the ids of all letters that the page has taken. Closes the browser. */
    async close() {
      try {
        // The server may have just been killed for the last time.
        for (const until = Date.now() + LAST; ;) {
          const came = await page.goto('/today', { timeout: LAST }).catch((error) => error);
          if (!(came instanceof Error)) break;
          if (Date.now() > until) throw came;
          await page.waitForTimeout(500);
        }
        await page.getByText('waits on this device').waitFor({ state: 'detached', timeout: LAST });
        return { out: [...out], waited };
      } finally {
        await browser.close();
      }
    },
  };
}
