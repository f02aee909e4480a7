import { access } from 'node:fs/promises';
import { command } from './command.mjs';
import { Sentence } from './sentence.mjs';

/** Installs the Debian package of a program that is not there. */
export async function ensureProgram(place, name, what) {
  if (!(await isThere(place))) await ensureDebianPackages([name], what);
}

/** Whether a file is there. */
export function isThere(place) {
  return access(place).then(
    () => true,
    () => false,
  );
}

/** Installs Debian's packages when root; otherwise says the line to run. */
export async function ensureDebianPackages(names, what) {
  const line = `apt-get install -y --no-install-recommends ${names.join(' ')}`;
  if (process.getuid?.() !== 0) {
    throw new Sentence(`${what} is not installed. Run this once, then start again:\n  sudo ${line}`);
  }
  console.log(`Installing ${what} from Debian’s packages …`);
  const environment = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  await command('apt-get', ['update', '-q'], { env: environment });
  const { code, output } = await command('apt-get', line.split(' ').slice(1), { env: environment });
  if (code !== 0) {
    throw new Sentence(
      code === -1
        ? `${what} is not installed, and this is no Debian system: install it by its own means, then start again.`
        : `${what} could not be installed:\n${output.trim().split('\n').slice(-8).join('\n')}`,
    );
  }
}
