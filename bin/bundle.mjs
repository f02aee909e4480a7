// Node does not run TypeScript: an entry point is bundled once and again when a source changed.
import { readdirSync, statSync } from 'node:fs';
import { mkdir, readdir, rename, rm } from 'node:fs/promises';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { ROOT } from './setup/root.mjs';

const CACHE = path.join(ROOT, 'node_modules', '.cache', 'fair-quill');

/**
 * Bundles an entry point unless its bundle is newer than every source. Packages named in `external` are loaded
 * from node_modules, by default all of them.
 * @param entry a path below the project
 * @returns the bundle's path
 */
export async function bundle(entry, external) {
  // By its whole path: two entry points may have one name.
  const folder = path.join(CACHE, entry.replace(/\.ts$/, '').replaceAll('/', '-'));
  const file = path.join(folder, `${path.basename(entry, '.ts')}.mjs`);
  if (modified(file) > newestSource()) return file;
  const { build } = await import('esbuild');
  const fresh = `${folder}-${process.pid}`;
  await mkdir(CACHE, { recursive: true });
  await build({
    entryPoints: [path.join(ROOT, entry)],
    outdir: fresh,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    mainFields: ['module', 'main'],
    splitting: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    logLevel: 'warning',
    ...(external ? { external } : { packages: 'external' }),
    // Packages in CommonJS ask for these.
    banner: {
      js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
    },
  });
  // Whole or not at all, also when two start at once.
  await mkdir(folder, { recursive: true });
  for (const name of await readdir(fresh)) await rename(path.join(fresh, name), path.join(folder, name));
  await rm(fresh, { recursive: true });
  return file;
}

/** Bundles and runs an entry point in this process. */
export async function run(entry, external) {
  let file;
  try {
    file = await bundle(entry, external);
  } catch (error) {
    if (error.code !== 'ERR_MODULE_NOT_FOUND') throw error;
    console.error('The packages are not installed yet. Run “npm start” or “npm ci” first.');
    process.exit(2);
  }
  await import(pathToFileURL(file).href);
}

function modified(file) {
  return statSync(file, { throwIfNoEntry: false })?.mtimeMs ?? 0;
}

/** Asked at every start of the command line, so without a turn of the event loop for each file. */
function newestSource() {
  const folders = ['src', 'bin', 'stand-ins', 'bench'].map((name) => path.join(ROOT, name));
  let newest = modified(path.join(ROOT, 'package-lock.json'));
  while (folders.length) {
    const folder = folders.pop();
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      const place = path.join(folder, entry.name);
      if (entry.isDirectory()) folders.push(place);
      else if (/\.(?:ts|mjs|json)$/.test(entry.name)) newest = Math.max(newest, modified(place));
    }
  }
  return newest;
}
