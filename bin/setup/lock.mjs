import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { signal } from './processes.mjs';
import { Sentence } from './sentence.mjs';

/**
 * Makes sure one application at a time runs on a data folder, and ends what a killed one left behind.
 * @returns what to call with the started processes' ids, and to let go at the end
 */
export async function holdDataFolder(dataDir) {
  await mkdir(dataDir, { recursive: true });
  const file = path.join(dataDir, 'running.json');
  const left = await readFile(file, 'utf8')
    .then(JSON.parse)
    .catch(() => undefined);
  if (left && (await isOurs(left.pid))) {
    throw new Sentence(
      `Fair Quill runs already on this data (process ${left.pid}). Stop it first, or choose another DATA_DIR.`,
    );
  }
  const orphans = [];
  for (const pid of left?.children ?? []) if (await isOurs(pid)) orphans.push(pid);
  for (const pid of orphans) signal(pid, 'SIGKILL');
  for (const pid of orphans)
    while (await isOurs(pid)) await new Promise((resolve) => setTimeout(resolve, 20));
  const write = (children) => writeFile(file, JSON.stringify({ pid: process.pid, children }));
  await write([]);
  return { write, release: () => rm(file, { force: true }) };
}

/** Whether a process with this number is one of this application's: numbers are used again. */
async function isOurs(pid) {
  const words = await readFile(`/proc/${Number(pid)}/cmdline`, 'utf8').catch(() => '');
  return /bin\/(?:start|test)\.mjs|next|fair-quill|mailbox/.test(words);
}
