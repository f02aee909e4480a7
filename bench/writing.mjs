import { chromium } from '@playwright/test';
import { ARGS } from '../bin/setup/chromium.mjs';

const CHOICES = 120;
const KEYS = 200;
const SWITCHES = 60;

/** Measures the writing page in a real browser. Gives what it found, as text. */
export async function measureWriting(base, executablePath) {
  const browser = await chromium.launch({ executablePath, args: ARGS });
  try {
    const context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      locale: 'en-GB',
      serviceWorkers: 'block',
    });
    await context.request.post(`${base}/api/session`, {
      data: { email: 'imke@larkfield.example', password: 'larkfield-imke' },
      headers: { origin: base },
    });
    const page = await context.newPage();
    const { script, withEditor } = await scriptUntilFilled(page, base);
    const chosen = await chooseTemplates(page, base);
    const switched = await switchRecords(page, base);
    const keys = await typeWithFields(page, base);
    const bare = await typeBare(page, base);
    return [
      '',
      `Script until the filled page shows   ${(script / 1000).toFixed(0)} kB compressed (at most 250)`,
      `  until it can be written on         ${(withEditor / 1000).toFixed(0)} kB compressed (at most 420)`,
      `Template chosen to page painted      ${spread(chosen.times)} (p95 at most 50 ms), ${chosen.listed} templates listed`,
      `  and what stands around it          ${spread(chosen.whole)}`,
      `  the same for one word changed      ${spread(chosen.bare)}`,
      `Record switched to page painted      ${spread(switched)} (p95 at most 50 ms)`,
      `Key to paint, ${keys.fields} fields           work ${spread(keys.work)} (at most 16 ms); with the wait for the frame ${spread(keys.painted)}`,
      `  the same in a bare text area       work ${spread(bare.work)}; with the wait for the frame ${spread(bare.painted)}`,
    ].join('\n');
  } finally {
    await browser.close();
  }
}

/** The script fetched, in bytes as sent, before a letter stands on the page, and before it can be written on; from an empty cache. */
async function scriptUntilFilled(page, base) {
  await page.addInitScript(() => {
    new MutationObserver((_, observer) => {
      if (!document.querySelector('.copy .value')) return;
      observer.disconnect();
      window.filledAt = performance.now();
    }).observe(document, { childList: true, subtree: true });
  });
  await page.goto(`${base}/write?from=invoice:LPC-1048&template=first-reminder`);
  await page.getByRole('textbox', { name: 'Letter' }).waitFor();
  return page.evaluate(() => {
    const scripts = performance.getEntriesByType('resource').filter(({ name }) => /\.js(?:\?|$)/.test(name));
    const sizeOf = (all) => all.reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0);
    return {
      script: sizeOf(scripts.filter(({ startTime }) => startTime < window.filledAt)),
      withEditor: sizeOf(scripts),
    };
  });
}

/** Waits until the words of all templates are on the device, as they are from the second letter on, and compiled. */
async function templatesAreHere(page) {
  await page.waitForFunction(
    () =>
      new Promise((resolve) => {
        const opening = indexedDB.open('fair-quill-templates');
        opening.onsuccess = () => {
          const asked = opening.result.transaction('templates').objectStore('templates').count();
          asked.onsuccess = () => {
            opening.result.close();
            resolve(asked.result > document.querySelectorAll('button.entry').length);
          };
        };
      }),
    undefined,
    { polling: 500, timeout: 60_000 },
  );
  await page.waitForTimeout(3000);
}

/** Puts on the page what waits until a change is painted. */
function bringAfterPaint() {
  window.afterPaint = () =>
    new Promise((done) =>
      requestAnimationFrame(() => {
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = done;
        port2.postMessage(0);
      }),
    );
}

/** Chooses one template after another in the list, all of whose groups are open. */
async function chooseTemplates(page, base) {
  await page.goto(`${base}/write?from=invoice:LPC-1048`);
  await page.locator('summary').first().waitFor();
  for (const group of await page.locator('summary').all()) await group.click();
  await page
    .getByRole('button', { name: /First reminder/ })
    .first()
    .click();
  await page.getByRole('textbox', { name: 'Letter' }).waitFor();
  await templatesAreHere(page);
  await page.evaluate(bringAfterPaint);
  return page.evaluate(async (most) => {
    const { afterPaint } = window;
    const entries = [...document.querySelectorAll('button.entry')];
    const step = Math.max(1, Math.floor(entries.length / most));
    const [times, whole, bare] = [[], [], []];
    const measure = async (into, change) => {
      // Presses are apart, and come at any moment of a frame.
      await new Promise((done) => setTimeout(done, 150 + ((into.length * 7) % 17)));
      const began = performance.now();
      change();
      await afterPaint();
      into.push(performance.now() - began);
      return began;
    };
    const count = document.querySelector('.index .count');
    for (let i = 0; i < entries.length && times.length < most; i += step) {
      const began = await measure(times, () => entries[i].click());
      const isTaken = () => entries[i].getAttribute('aria-current') === 'true';
      for (let frames = 0; frames < 30 && !isTaken(); frames++) await afterPaint();
      if (!isTaken()) throw new Error('The template was not taken.');
      await afterPaint();
      whole.push(performance.now() - began);
      await measure(bare, () => (count.firstChild.data = `from ${i}`));
    }
    return { times, whole, bare, listed: entries.length };
  }, CHOICES);
}

/** Takes another invoice for a reminder, again and again, from its list in the margin. */
async function switchRecords(page, base) {
  await page.goto(`${base}/write?from=invoice:LPC-1048&template=first-reminder`);
  await page.getByRole('textbox', { name: 'Letter' }).waitFor();
  await page.getByRole('button', { name: /^Take another than .*LPC/ }).waitFor();
  await page.waitForTimeout(3000);
  await page.evaluate(bringAfterPaint);
  return page.evaluate(async (most) => {
    const rest = (milliseconds) => new Promise((done) => setTimeout(done, milliseconds));
    const letter = document.querySelector('[role="textbox"][aria-label="Letter"]');
    const times = [];
    while (times.length < most) {
      const toggle = [...document.querySelectorAll('.another')].find((one) => /LPC/.test(one.ariaLabel));
      toggle.click();
      await rest(200 + ((times.length * 7) % 17));
      const before = letter.innerText;
      const other = document.querySelector('.note-others .choice');
      const began = performance.now();
      other.click();
      await window.afterPaint();
      times.push(performance.now() - began);
      if (letter.innerText === before) throw new Error('The record was not taken.');
      await rest(300);
    }
    return times;
  }, SWITCHES);
}

/** Types into a letter with sixty fields. */
async function typeWithFields(page, base) {
  await page.goto(`${base}/templates/short-note`);
  await page.getByRole('tab', { name: 'Words' }).click();
  const words = page.getByRole('textbox', { name: 'Head and words' });
  const fields = Array.from({ length: 59 }, (_, i) => `part ${i} {{client.name}} of`).join(' ');
  await words.click();
  await words.press('Control+a');
  // Only the lines in sight are on the page: its text is copied, and another pasted over all of it.
  await words.evaluate((content, put) => {
    const over = (type, text) => {
      const clipboardData = new DataTransfer();
      if (text) clipboardData.setData('text/plain', text);
      content.dispatchEvent(new ClipboardEvent(type, { clipboardData, bubbles: true, cancelable: true }));
      return clipboardData.getData('text/plain');
    };
    const text = over('copy');
    over('paste', text.replace('{{? Your words : long text}}', put).replace(/subject: .*/, 'subject: Sixty'));
  }, fields);
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await page.getByText('Kept as version').waitFor();
  await page.goto(`${base}/write?from=client:college&template=short-note`);
  const letter = page.getByRole('textbox', { name: 'Letter' });
  await letter.waitFor();
  await letter.getByText('part 30').click();
  const keys = await typeKeys(page);
  return { ...keys, fields: await letter.locator('.value').count() };
}

/** What typing takes on this machine whatever the page: a text area and nothing else. */
async function typeBare(page, base) {
  await page.goto(`${base}/offline.html`);
  await page.evaluate(() => document.body.replaceChildren(document.createElement('textarea')));
  await page.getByRole('textbox').focus();
  return typeKeys(page);
}

/** Types, and gives what each key took: the work for it, and until it was painted. */
export async function typeKeys(page, words = 'a'.repeat(KEYS)) {
  await page.evaluate(() => {
    window.keys = { work: [], painted: [] };
    let handled;
    addEventListener(
      'keydown',
      (event) => {
        const pressed = event.timeStamp;
        handled = undefined;
        requestAnimationFrame(() => {
          const frame = performance.now();
          const { port1, port2 } = new MessageChannel();
          port1.onmessage = () => {
            const painted = performance.now();
            window.keys.painted.push(painted - pressed);
            window.keys.work.push(Math.min(handled ?? frame, frame) - pressed + (painted - frame));
          };
          port2.postMessage(0);
        });
      },
      { capture: true },
    );
    addEventListener('input', () => (handled = performance.now()));
  });
  for (const [i, letter] of [...words].entries()) {
    await page.keyboard.press(letter === ' ' ? 'Space' : letter);
    // As fast as a good typist, with a pause for thought now and then.
    await page.waitForTimeout(i % 20 === 19 ? 400 : 60);
  }
  return page.evaluate(() => window.keys);
}

/** Times in words. */
export function spread(times) {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))].toFixed(1);
  return `median ${at(0.5)}, p95 ${at(0.95)}, most ${at(1)} ms of ${sorted.length}`;
}
