import { mkdir, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { signal } from './processes.mjs';
import { Sentence } from './sentence.mjs';

/**
 * Makes sure one application at a time runs on a data folder, and ends what a killed one left behind.
 * @returns what to call to let go at the end
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
  const orphans = await leftBehind(dataDir);
  for (const pid of orphans) signal(pid, 'SIGKILL');
  while ((await leftBehind(dataDir)).length) await new Promise((resolve) => setTimeout(resolve, 20));
  await writeFile(file, JSON.stringify({ pid: process.pid }));
  return () => rm(file, { force: true });
}

/** The processes that a killed start left running on a data folder; it may not have come to write their numbers down. */
async function leftBehind(dataDir) {
  const found = [];
  for (const pid of await readdir('/proc').catch(() => [])) {
    if (!/^\d+$/.test(pid) || Number(pid) === process.pid) continue;
    const environment = await readFile(`/proc/${pid}/environ`, 'utf8').catch(() => '');
    if (environment.split('\0').includes(`FAIRQUILL_DATA=${dataDir}`)) found.push(Number(pid));
  }
  return found;
}

/** Whether a process with this number is one of this application's: numbers are used again. */
async function isOurs(pid) {
  const words = await readFile(`/proc/${Number(pid)}/cmdline`, 'utf8').catch(() => '');
  return /bin\/(?:start|test)\.mjs|bench\.mjs/.test(words);
}
