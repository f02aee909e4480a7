import { access } from 'node:fs/promises';
import { ensureDebianPackages } from './debian.mjs';

const PLACE = process.env.CHROMIUM || '/usr/bin/chromium';

/** Debian's Chromium, for the end-to-end tests. */
export async function ensureChromium() {
  const there = await access(PLACE).then(
    () => true,
    () => false,
  );
  if (!there) await ensureDebianPackages(['chromium'], 'Chromium');
  return PLACE;
}
