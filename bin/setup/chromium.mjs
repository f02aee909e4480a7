import { access } from 'node:fs/promises';
import { ensureDebianPackages } from './debian.mjs';

const PLACE = process.env.CHROMIUM || '/usr/bin/chromium';

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

/** Debian's Chromium, for the end-to-end tests. */
export async function ensureChromium() {
  const there = await access(PLACE).then(
    () => true,
    () => false,
  );
  if (!there) await ensureDebianPackages(['chromium'], 'Chromium');
  return PLACE;
}
