import { chromium } from '@playwright/test';
import { ARGS, spread, typeKeys } from './writing.mjs';

const OPENINGS = 20;
const LOOKED_FOR = 'when due how much their street owes balance first name bank late review';

const FIELDS = ['client.greeting_name', 'invoice.number', 'invoice.balance', 'invoice.due_on | long date'];
const LISTING =
  '| A | B |\n|---|--:|\n{{#client.unpaid_invoices}}\n| {{number}} | {{balance}} |\n{{/client.unpaid_invoices}}\n';

/** Measures a template in pencil in a real browser: a page of sixty fields and three listings. Gives what it found, as text. */
export async function measurePencil(base, executablePath) {
  const browser = await chromium.launch({ executablePath, args: ARGS });
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
    const headers = { origin: base };
    const post = (path, data) => context.request.post(base + path, { data, headers });
    await post('/api/session', { email: 'imke@larkfield.example', password: 'larkfield-imke' });
    const key = await makeTemplate(post);
    const page = await context.newPage();
    const opened = await openTemplates(page, base);
    await page.goto(`${base}/templates/${key}`);
    const pencil = page.getByRole('textbox', { name: 'Template' });
    await pencil.waitFor();
    await pencil.getByText('Last line.').click();
    const keys = await typeKeys(page);
    const list = await findFields(page);
    return [
      `A template opened from the index     ${spread(opened)} (at most 100 ms)`,
      `Key to paint in pencil, 60 fields    work ${spread(keys.work)} (at most 16 ms); with the wait for the frame ${spread(keys.painted)}`,
      `The list of fields opened            ${list.opened.toFixed(0)} ms`,
      `  a key in it                        work ${spread(list.work)} (at most 16 ms); with the wait for the frame ${spread(list.painted)}`,
    ].join('\n');
  } finally {
    await browser.close();
  }
}

async function makeTemplate(post) {
  const made = await post('/api/templates', { name: 'Sixty in pencil', startsFrom: 'invoice', group: null });
  const { key } = await made.json();
  const paragraph = (_, i) => FIELDS.map((field, j) => `words ${i} ${j} {{${field}}}`).join(', ') + '.';
  const body = [...Array.from({ length: 15 }, paragraph), LISTING, LISTING, LISTING, 'Last line.'].join(
    '\n\n',
  );
  const head = 'name: Sixty in pencil\ngroup: none\nstarts from: invoice\nsubject: Sixty\n';
  const kept = await post(`/api/templates/${key}`, { version: 1, text: `---\n${head}---\n${body}\n` });
  if (!kept.ok()) throw new Error(`The template could not be kept: ${await kept.text()}`);
  return key;
}

/** From the press on an entry of the index until its page is painted. */
async function openTemplates(page, base) {
  const times = [];
  await page.goto(`${base}/templates`);
  const entries = page.locator('a.entry:visible');
  const count = await entries.count();
  for (let i = 0; i < OPENINGS; i++) {
    times.push(
      await entries.nth(Math.floor((i * count) / OPENINGS)).evaluate(async (entry) => {
        const name = () => document.querySelector('#template-name')?.textContent;
        const [before, began] = [name(), performance.now()];
        entry.click();
        while (name() === before && performance.now() - began < 5000)
          await new Promise((done) => requestAnimationFrame(done));
        return performance.now() - began;
      }),
    );
    await page.waitForTimeout(300);
  }
  return times;
}

async function findFields(page) {
  const opened = await page.evaluate(async () => {
    const began = performance.now();
    document.querySelector('.pencil-tools button').click();
    while (!document.querySelector('.field-list [role="option"]'))
      await new Promise((done) => setTimeout(done));
    await new Promise((done) => requestAnimationFrame(() => setTimeout(done)));
    return performance.now() - began;
  });
  return { opened, ...(await typeKeys(page, LOOKED_FOR)) };
}
