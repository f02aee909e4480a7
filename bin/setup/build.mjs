import { createHash } from 'node:crypto';
import { readdir, readFile, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { command } from './command.mjs';
import { ROOT } from './root.mjs';
import { Sentence } from './sentence.mjs';

const INPUTS = ['src', 'public', 'next.config.ts', 'tsconfig.json', 'package-lock.json'];

/**
 * Builds the application unless a build of these very sources is there. The stamp is written only after success,
 * as a failed build leaves files too.
 * @param distDir the build's folder below the project
 */
export async function ensureBuild(distDir, environment) {
  const stamp = path.join(ROOT, distDir, 'fair-quill-stamp');
  const wanted = await fingerprint();
  if ((await readFile(stamp, 'utf8').catch(() => '')) === wanted) return;
  console.log('Building the application …');
  await rm(stamp, { force: true });
  const next = path.join(ROOT, 'node_modules', 'next', 'dist', 'bin', 'next');
  const { code, output } = await command(process.execPath, [next, 'build'], {
    cwd: ROOT,
    env: { ...environment, NEXT_DIST_DIR: distDir },
  });
  if (code !== 0) {
    if (/ENOSPC|no space left/i.test(output))
      throw new Sentence('The disk is full. Make room and start again.');
    throw new Sentence(`The application could not be built:\n${output.trim()}`);
  }
  await listParts(path.join(ROOT, distDir, 'static'));
  await writeFile(stamp, wanted);
}

/** Writes down what a browser may fetch of the build, for devices that keep it (public/service-worker.js). */
async function listParts(folder) {
  const files = (await filesOf(folder)).map((file) => path.relative(folder, file).split(path.sep).join('/'));
  const parts = files.filter((file) => !file.endsWith('.map') && file !== 'built.json').sort();
  await writeFile(
    path.join(folder, 'built.json'),
    JSON.stringify(parts.map((file) => `/_next/static/${file}`)),
  );
}

async function fingerprint() {
  const hash = createHash('sha256');
  const files = (await Promise.all(INPUTS.map((input) => filesOf(path.join(ROOT, input))))).flat().sort();
  for (const file of files) {
    if (/\.test\.tsx?$/.test(file)) continue;
    hash
      .update(path.relative(ROOT, file))
      .update('\0')
      .update(await readFile(file))
      .update('\0');
  }
  return hash.digest('hex');
}

async function filesOf(place) {
  const entries = await readdir(place, { withFileTypes: true }).catch((error) => error.code);
  if (entries === 'ENOTDIR') return [place];
  if (typeof entries === 'string') return [];
  const lists = entries.map((entry) => filesOf(path.join(place, entry.name)));
  return (await Promise.all(lists)).flat();
}
