import { chromium } from '@playwright/test';
import { ARGS } from '../bin/setup/chromium.mjs';
import { spread, typeKeys } from './writing.mjs';

const OPENINGS = 20;
const LOOKED_FOR = 'when due how much their street owes balance first name bank late review';

const FIELDS = ['client.greeting_name', 'invoice.number', 'invoice.balance', 'invoice.due_on | long date'];
const LISTING =
  '| A | B |\n|---|--:|\n{{#client.unpaid_invoices}}\n| {{number}} | {{balance}} |\n{{/client.unpaid_invoices}}\n';

/** Measures a template in pencil in a real browser: a page of sixty fields and three listings. Gives what it found, as text. */
export async function measurePencil(base, executablePath) {
  const browser = await chromium.launch({ executablePath, args: ARGS });
  try {
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      locale: 'en-GB',
      serviceWorkers: 'block',
    });
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
    await page.keyboard.press('Escape');
    const holes = await countHoles(page);
    return [
      `A template opened from the index     ${spread(opened.hand)} (at most 100 ms)`,
      `  pressed with no hand on it before  ${spread(opened.program)}`,
      `Key to paint in pencil, 60 fields    work ${spread(keys.work)} (at most 16 ms); with the wait for the frame ${spread(keys.painted)}`,
      `The list of fields opened            ${list.opened.toFixed(0)} ms`,
      `  a key in it                        work ${spread(list.work)} (at most 16 ms); with the wait for the frame ${spread(list.painted)}`,
      `Holes over ${holes.clients}      counted in ${holes.took.toFixed(0)} ms (at most 2000), records fetched and counted first in ${(holes.first / 1000).toFixed(1)} s`,
      `  the page meanwhile                 longest frame ${holes.frame.toFixed(0)} ms; ${holes.late} of ${holes.frames} over 34 ms`,
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

/**
 * From the press on an entry of the index until its page is painted: as a hand presses it, that comes to lie on it first, and out
 * of the blue, as a program does.
 */
async function openTemplates(page, base) {
  const times = { hand: [], program: [] };
  await page.goto(`${base}/templates`);
  const entries = page.locator('a.entry:visible');
  const count = await entries.count();
  for (let i = 0; i < OPENINGS * 2; i++) {
    const entry = entries.nth(Math.floor((i * count) / (OPENINGS * 2)));
    await entry.scrollIntoViewIfNeeded();
    await entry.evaluate((link) => {
      const wanted = link.querySelector('.entry-name').textContent;
      window.opened = new Promise((done, fail) => {
        const pressed = () => {
          const began = performance.now();
          const look = () => {
            const took = performance.now() - began;
            if (document.querySelector('#template-name')?.textContent === wanted) return done(took);
            if (took > 5000) return fail(new Error(`“${wanted}” was not opened.`));
            requestAnimationFrame(look);
          };
          requestAnimationFrame(look);
        };
        link.addEventListener('click', pressed, { capture: true, once: true });
      });
    });
    if (i % 2) await entry.evaluate((link) => link.click());
    else await pressByHand(page, await entry.boundingBox());
    times[i % 2 ? 'program' : 'hand'].push(await page.evaluate(() => window.opened));
    await page.mouse.move(900, 400);
    await page.waitForTimeout(600);
  }
  return times;
}

/** A pointer comes, rests a tenth of a second, presses, and lets go after seventy milliseconds. */
async function pressByHand(page, { x, y }) {
  await page.mouse.move(x + 40, y + 10);
  await page.waitForTimeout(100);
  await page.mouse.down();
  await page.waitForTimeout(70);
  await page.mouse.up();
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

/**
 * Has the holes counted over all clients, then once more after a key: how long the worker took, and whether the page's frames came in
 * time meanwhile.
 */
async function countHoles(page) {
  const asked = page.getByRole('button', { name: /^Look for holes over/ });
  const counted = page.locator('.holes[data-took]').first();
  const began = Date.now();
  await asked.or(counted).waitFor({ timeout: 60_000 });
  if (await asked.isVisible()) await asked.click();
  await counted.waitFor({ timeout: 120_000 });
  const first = Date.now() - began;
  await page.getByRole('textbox', { name: 'Template' }).getByText('Last line.').click();
  await page.keyboard.type('.');
  // What a key costs is measured apart: the frames are watched from when the worker begins.
  await page.waitForTimeout(700);
  return page.evaluate(
    (first) =>
      new Promise((done) => {
        const shown = () => document.querySelector('.holes[data-took]');
        const before = shown().dataset.took;
        const gaps = [];
        let last = performance.now();
        const watch = (now) => {
          gaps.push(now - last);
          last = now;
          if (shown()?.dataset.took === before) return requestAnimationFrame(watch);
          done({
            first,
            clients: /\d+ clients/.exec(shown().textContent)?.[0] ?? shown().textContent,
            took: Number(shown().dataset.took),
            frame: Math.max(...gaps),
            late: gaps.filter((gap) => gap > 34).length,
            frames: gaps.length,
          });
        };
        requestAnimationFrame(watch);
      }),
    first,
  );
}
