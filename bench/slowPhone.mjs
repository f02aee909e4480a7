import { chromium } from '@playwright/test';
import { ARGS } from '../bin/setup/chromium.mjs';

/** 400 kbit/s, a moment on the way, and a processor slowed 4 times. */
const LINE = { offline: false, latency: 100, downloadThroughput: 50_000, uploadThroughput: 50_000 };
const SLOWED = 4;
const FILLED = '.copy .value';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
const LETTER = '/write?from=invoice:LPC-1048&template=first-reminder';
const OPENED = 7;

/** Measures what a letter costs on a slow phone: the first, from an empty cache, one more, and one without a connection. Gives it as text. */
export async function measureSlowPhone(base, executablePath) {
  const browser = await chromium.launch({ executablePath, args: ARGS });
  try {
    const page = await signedIn(browser, base, 'block');
    const context = page.context();
    const devtools = await context.newCDPSession(page);
    await devtools.send('Network.enable');
    await devtools.send('Network.emulateNetworkConditions', LINE);
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
    let bytes = 0;
    devtools.on('Network.loadingFinished', ({ encodedDataLength }) => (bytes += encodedDataLength));
    const measure = async (open) => {
      bytes = 0;
      const began = performance.now();
      await open();
      const seconds = () => ((performance.now() - began) / 1000).toFixed(1);
      await page.locator(FILLED).first().waitFor({ timeout: 60_000 });
      // What is in the document is read when it is painted.
      await page.waitForFunction(() => performance.getEntriesByName('first-contentful-paint').length > 0);
      const filled = `filled after ${seconds()} s and ${kilo(bytes)}`;
      await page.locator('.letter-foot button').first().waitFor({ timeout: 60_000 });
      const ready = `can be sent after ${seconds()} s`;
      await page.getByRole('textbox', { name: 'Letter' }).waitFor({ timeout: 60_000 });
      const editable = `written on after ${seconds()} s`;
      await page.waitForTimeout(5000);
      return `${filled}, ${ready}, ${editable}, ${kilo(bytes)} in all`;
    };
    const cold = await measure(() => page.goto(base + LETTER, { waitUntil: 'commit' }));
    await page.goto(`${base}/today`);
    const card = page.getByRole('link', { name: /^Read and send to/ }).nth(2);
    await card.waitFor();
    await page.waitForTimeout(3000);
    const further = await measure(() => card.click());
    await context.close();
    return [
      `A slow phone, the first letter        ${cold} (at most 6 s)`,
      `  one more, from Today                ${further} (at most 25 kB)`,
      `  opened without a connection         ${await openOffline(browser, base)} (at most 1 s)`,
    ].join('\n');
  } finally {
    await browser.close();
  }
}

async function signedIn(browser, base, serviceWorkers) {
  const context = await browser.newContext({ ...PHONE, serviceWorkers });
  await context.request.post(`${base}/api/session`, {
    data: { email: 'imke@larkfield.example', password: 'larkfield-imke' },
    headers: { origin: base },
  });
  return context.newPage();
}

/** A letter's page that the device has kept, until the letter stands on it; the processor of the page is slowed, as before. */
async function openOffline(browser, base) {
  const page = await signedIn(browser, base, 'allow');
  await page.goto(base + LETTER);
  await page.waitForFunction(
    async () => {
      const parts = await (await fetch('/_next/static/built.json')).json();
      const kept = await (await caches.open('fair-quill-built')).keys();
      const pages = await (await caches.open('fair-quill-seen')).keys();
      return kept.length >= parts.length && pages.length > 1;
    },
    undefined,
    { polling: 500, timeout: 60_000 },
  );
  // The templates' words come in a quiet moment.
  await page.waitForTimeout(5000);
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
  await page.context().setOffline(true);
  const times = [];
  while (times.length < OPENED) {
    const began = performance.now();
    await page.goto(base + LETTER, { waitUntil: 'commit' });
    await page.locator(FILLED).first().waitFor({ timeout: 60_000 });
    times.push((performance.now() - began) / 1000);
    await page.locator('[data-kept-at]').waitFor({ state: 'attached' });
  }
  times.sort((a, b) => a - b);
  return `${times[Math.floor(OPENED / 2)].toFixed(1)} s (median of ${OPENED}, ${times[0].toFixed(1)} to ${times.at(-1).toFixed(1)} s)`;
}

function kilo(bytes) {
  return `${(bytes / 1000).toFixed(0)} kB`;
}
