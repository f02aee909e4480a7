import path from 'node:path';
import { command } from './command.mjs';
import { ROOT } from './root.mjs';
import { Sentence } from './sentence.mjs';

const NEXT = path.join(ROOT, 'node_modules', 'next', 'dist', 'bin', 'next');

/**
 * Migrates the database and loads the demonstration business as the flag says. Gives what was done, in words.
 * @param ownerUrl the database as the owner of its tables, where the application works as another role
 */
export async function prepareDatabase(environment, flag, ownerUrl = '') {
  const { bundle } = await import('../bundle.mjs');
  const args = [await bundle('bin/prepare.ts'), ROOT, flag];
  const { code, output } = await command(process.execPath, args, {
    env: { ...environment, DATABASE_OWNER_URL: ownerUrl },
    cwd: ROOT,
  });
  if (code !== 0) throw new Sentence(output.trim());
  return output.trim();
}

/**
 * Starts the web server, the worker, what takes mail in and, where no mail server is named, the mailbox stand-in, and waits
 * until the application answers.
 */
export async function startApplication({ processes, environment, dev = false, mailbox = true }) {
  const { bundle } = await import('../bundle.mjs');
  const { PORT: port, HOST: host } = environment;
  const web = [NEXT, dev ? 'dev' : 'start', '-p', port, '-H', host];
  const webEnvironment = {
    ...environment,
    FAIRQUILL_READER: await bundle('bin/reader.ts'),
    ...(dev ? { NODE_ENV: 'development' } : {}),
  };
  await processes.start('web', web, { env: webEnvironment, cwd: ROOT, show: dev });
  for (const [name, entry] of [
    ['worker', 'bin/worker.ts'],
    ['incoming', 'bin/incoming.ts'],
    ...(mailbox ? [['mailbox', 'stand-ins/mailbox/mailbox.ts']] : []),
  ]) {
    await processes.start(name, [await bundle(entry)], { env: environment, cwd: ROOT });
  }
  await answering(`http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}/health`);
}

async function answering(url) {
  for (let tries = 0; tries < 240; tries++) {
    if ((await fetch(url).catch(() => undefined))?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  throw new Sentence('The application did not answer within a minute. Look at its log.');
}
