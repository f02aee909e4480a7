import { ensureDebianPackages, ensureProgram, isThere } from './debian.mjs';

/** Debian's Chromium without a window draws the same pages with a third less work; the one with windows does where there is no other. */
export const PLACE = '/usr/bin/chromium-headless-shell';
const WITH_WINDOWS = '/usr/bin/chromium';

/** What it is started with where there is no screen and no network. */
export const ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** Debian's headless Chromium, for the end-to-end tests. Gives where it is. */
export async function ensureChromium() {
  const chosen = process.env.CHROMIUM;
  if (chosen) return chosen;
  if (await isThere(PLACE)) return PLACE;
  const installed = await ensureDebianPackages(['chromium-headless-shell'], 'Chromium').then(
    () => true,
    () => false,
  );
  if (installed) return PLACE;
  await ensureProgram(WITH_WINDOWS, 'chromium', 'Chromium');
  return WITH_WINDOWS;
}
