import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';

/** What can be killed of an application that runs on a data folder. */
export const VICTIMS = [
  'web',
  'worker',
  'incoming',
  'database',
  'mail server',
  'start command',
  'start command, gently',
];

const CALLED = { web: /next-server|next\/dist\/bin\/next/, worker: /worker\.mjs/, incoming: /incoming\.mjs/ };

/**
 * The processes of a kind.
 * @param own those that the caller started itself, by kind
 * @returns their numbers; none while it is not there
 */
export async function pidsOf(victim, { dataDir, cluster, own }) {
  if (victim === 'database') {
    const lines = await readFile(path.join(cluster, 'postmaster.pid'), 'utf8').catch(() => '');
    return lines ? [Number(lines.split('\n')[0])] : [];
  }
  const started = own[victim.replace(', gently', '')];
  if (started !== undefined) return started ? [started] : [];
  const found = [];
  for (const pid of (await readdir('/proc')).filter((name) => /^\d+$/.test(name))) {
    const [environment, words] = await Promise.all(
      ['environ', 'cmdline'].map((file) => readFile(`/proc/${pid}/${file}`, 'utf8').catch(() => '')),
    );
    if (environment.split('\0').includes(`FAIRQUILL_DATA=${dataDir}`) && CALLED[victim].test(words))
      found.push(Number(pid));
  }
  return found;
}
