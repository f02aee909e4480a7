import { chromium } from '@playwright/test';
import { ARGS } from '../bin/setup/chromium.mjs';

const CLIENTS = 5_000;
/** What is done beside it, again and again: the list, a search in it, a client. */
const BESIDE = ['/api/lists/client?find=reyes', '/clients', '/clients/hartigan'];

/**
 * Measures how long a table of clients takes from the file to the last of them, while pages are used beside it and alone. Gives it as
 * text.
 */
export async function measureBringing(base, executablePath) {
  const browser = await chromium.launch({ executablePath, args: ARGS });
  try {
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      baseURL: base,
      serviceWorkers: 'block',
    });
    await context.request.post('/api/session', {
      data: { email: 'imke@larkfield.example', password: 'larkfield-imke' },
      headers: { origin: base },
    });
    const quiet = await pagesUntil(context, new Promise((resolve) => setTimeout(resolve, 5_000)));
    const page = await context.newPage();
    await page.goto('/settings/bring-in');
    const rows = Array.from(
      { length: CLIENTS },
      (_, i) =>
        `Ada ${i} Brought${i};b${i}@brought.example;01632 ${String(100_000 + i)};${i} Quay;Saltby;LK2 4AA;a, b`,
    );
    const buffer = Buffer.from(`Name;E-Mail;Telefon;Street;Town;Postcode;Tags\n${rows.join('\n')}`);
    const began = performance.now();
    const seconds = () => ((performance.now() - began) / 1000).toFixed(1);
    await page
      .getByLabel('A file to bring in')
      .setInputFiles({ name: 'b.csv', mimeType: 'text/csv', buffer });
    await page.getByText(`${CLIENTS} clients come in.`).waitFor();
    const looked = seconds();
    const pressed = performance.now();
    const coming = (async () => {
      await page.getByRole('button', { name: `Bring ${CLIENTS} clients in` }).click();
      await page.getByText(`${CLIENTS} clients are in.`).waitFor({ timeout: 120_000 });
      return ((performance.now() - pressed) / 1000).toFixed(1);
    })();
    const beside = await pagesUntil(context, coming);
    return [
      `${CLIENTS} clients of a table: read and looked for among what is there after ${looked} s,`,
      `in ${await coming} s after the press (at most 10), pages used beside it meanwhile.`,
      `A page beside it: ${beside} (before: ${quiet}).`,
    ].join('\n');
  } finally {
    await browser.close();
  }
}

/** What pages take until something is over, one after the other: the median and the slowest, in milliseconds. */
async function pagesUntil({ request }, over) {
  let isOver = false;
  void over.then(() => (isOver = true));
  const took = [];
  for (let n = 0; !isOver; n++) {
    const began = performance.now();
    await request.get(BESIDE[n % BESIDE.length]);
    took.push(performance.now() - began);
  }
  took.sort((a, b) => a - b);
  return `${took[took.length >> 1].toFixed(0)} ms, the slowest of ${took.length} ${took.at(-1).toFixed(0)} ms`;
}
