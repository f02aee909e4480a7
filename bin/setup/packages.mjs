import { createHash } from 'node:crypto';
import { readFile, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { command } from './command.mjs';
import { ROOT } from './root.mjs';
import { Sentence } from './sentence.mjs';

const STAMP = path.join(ROOT, 'node_modules', '.fair-quill-lock');

/** Installs the npm packages of the lock file unless they are. */
export async function ensurePackages() {
  const lock = createHash('sha256')
    .update(await readFile(path.join(ROOT, 'package-lock.json')))
    .digest('hex');
  if ((await readFile(STAMP, 'utf8').catch(() => '')) === lock) return;
  console.log('Installing the packages of the lock file …');
  const { code, output } = await command('npm', ['ci', '--no-audit', '--no-fund', '--include=dev'], {
    cwd: ROOT,
  });
  if (code !== 0) {
    if (/ENOSPC|no space left/i.test(output))
      throw new Sentence('The disk is full. Make room and start again.');
    throw new Sentence(
      `The packages could not be installed:\n${output.trim().split('\n').slice(-8).join('\n')}`,
    );
  }
  await writeFile(STAMP, lock);
}
