import { chromium } from '@playwright/test';
import { ARGS } from '../bin/setup/chromium.mjs';

/** 400 kbit/s, a moment on the way, and a processor slowed 4 times. */
const LINE = { offline: false, latency: 100, downloadThroughput: 50_000, uploadThroughput: 50_000 };
const SLOWED = 4;
const FILLED = '.copy .value';

/** Measures what a letter costs on a slow phone: the first, from an empty cache, and one more. Gives it as text. */
export async function measureSlowPhone(base, executablePath) {
  const browser = await chromium.launch({ executablePath, args: ARGS });
  try {
    const context = await browser.newContext({
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
    });
    await context.request.post(`${base}/api/session`, {
      data: { email: 'imke@larkfield.example', password: 'larkfield-imke' },
      headers: { origin: base },
    });
    const page = await context.newPage();
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
    const cold = await measure(() =>
      page.goto(`${base}/write?from=invoice:LPC-1048&template=first-reminder`, { waitUntil: 'commit' }),
    );
    await page.goto(`${base}/today`);
    const card = page.getByRole('link', { name: /^Read and send to/ }).nth(2);
    await card.waitFor();
    await page.waitForTimeout(3000);
    const further = await measure(() => card.click());
    return [
      `A slow phone, the first letter        ${cold} (at most 6 s)`,
      `  one more, from Today                ${further} (at most 25 kB)`,
    ].join('\n');
  } finally {
    await browser.close();
  }
}

function kilo(bytes) {
  return `${(bytes / 1000).toFixed(0)} kB`;
}
