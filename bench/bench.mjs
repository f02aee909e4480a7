#!/usr/bin/env node
// npm run bench: a business of 5,000 clients and some 600 templates, its pages on the server and the writing page in a
// browser, a template in pencil. npm run bench -- fill: the filling core beside template libraries. npm run bench -- hostile: texts that a
// reader could be slow on; -- proof: letters proofed while they are typed; -- recognise: a client's facts found in a long letter; -- bringing: a file of clients; -- pages [clients]: every page on the server, in a small and in a large business; -- sending: the worker beside a mail library’s pooled connections; -- spam: a filter. Prints what it measured; nothing passes or
// fails here.
import { readFile, rm } from 'node:fs/promises';
import path from 'node:path';
import { bundle } from '../bin/bundle.mjs';
import { prepareDatabase, startApplication } from '../bin/setup/application.mjs';
import { ensureBuild } from '../bin/setup/build.mjs';
import { ensureChromium } from '../bin/setup/chromium.mjs';
import { command } from '../bin/setup/command.mjs';
import { holdDataFolder } from '../bin/setup/lock.mjs';
import { ensurePackages } from '../bin/setup/packages.mjs';
import { freePort } from '../bin/setup/ports.mjs';
import { startPostgres } from '../bin/setup/postgres.mjs';
import { Processes } from '../bin/setup/processes.mjs';
import { ROOT } from '../bin/setup/root.mjs';
import { saying } from '../bin/setup/sentence.mjs';
import { environmentFor } from '../bin/setup/settings.mjs';
import { measureBringing } from './bringing.mjs';
import { measureSpam } from './spam/spam.mjs';
import { measurePencil } from './pencil.mjs';
import { measureSlowPhone } from './slowPhone.mjs';
import { measureWriting } from './writing.mjs';

const DATA_DIR = path.join(ROOT, '.bench');
/** A large business is made once and kept for the next run. */
const KEPT_DIR = path.join(ROOT, '.bench-kept');
const NOW = '2026-11-25T09:00:00Z';
const cleanUps = [];

const [what, ...names] = process.argv.slice(2);

const WHAT = { bringing, fill: filling, hostile, pages, proof, recognise, sending, spam };

await saying(async () => {
  try {
    await (WHAT[what] ?? main)();
  } finally {
    for (const cleanUp of cleanUps.reverse()) await cleanUp().catch(() => undefined);
    await rm(DATA_DIR, { recursive: true, force: true });
  }
});

async function proof() {
  await run([await bundle('bench/proof/proofing.ts')]);
}

async function recognise() {
  await ensurePackages();
  const [recognising, worker] = await Promise.all(
    ['recognising', 'worker'].map((name) => bundle(`bench/recognise/${name}.ts`)),
  );
  await run([recognising, worker]);
}

async function hostile() {
  await ensurePackages();
  await run([await bundle('bench/hostile/reading.ts')]);
}

async function spam() {
  await ensurePackages();
  console.log(await measureSpam(path.join(DATA_DIR, 'letters')));
}

/** What each page costs on the server in a business of 1,000 clients and in a large one. */
async function pages() {
  const { url, ownerUrl } = await database(KEPT_DIR);
  const environment = {
    ...process.env,
    DATABASE_URL: url,
    FAIRQUILL_NOW: NOW,
    FAIRQUILL_DEMONSTRATION: 'yes',
  };
  await prepareDatabase(environment, '--demonstration-if-empty', ownerUrl);
  const [clients = '100000'] = names;
  await run(['--expose-gc', await bundle('bench/pages.ts'), clients, '620'], {
    ...environment,
    DATABASE_OWNER_URL: ownerUrl,
  });
}

async function sending() {
  const { url, ownerUrl } = await database();
  const http = await freePort();
  const smtp = await freePort();
  const environment = environmentFor(
    {
      dataDir: DATA_DIR,
      port: await freePort(),
      host: '127.0.0.1',
      mailboxSmtpPort: smtp,
      mailboxPort: http,
      incomingPort: await freePort(),
    },
    url,
  );
  await prepareDatabase(environment, '--demonstration', ownerUrl);
  const logs = path.join(DATA_DIR, 'logs');
  const processes = new Processes(logs, () => undefined);
  cleanUps.push(() => processes.stop());
  await processes.start('mailbox', [await bundle('stand-ins/mailbox/mailbox.ts')], { env: environment });
  await processes.start('recorder', [await bundle('bench/sending/recorder.ts')], { env: environment });
  await new Promise((resolve) => setTimeout(resolve, 3000));
  const recorder = (await readFile(path.join(logs, 'recorder.log'), 'utf8')).trim();
  await run([await bundle('bench/sending/sending.ts'), recorder, String(smtp)], environment);
}

async function database(folder = DATA_DIR) {
  cleanUps.push(await holdDataFolder(folder));
  await ensurePackages();
  const postgres = await startPostgres(folder);
  cleanUps.push(postgres.stop);
  return postgres;
}

async function filling() {
  await ensurePackages();
  const [speed, extent, worker] = await Promise.all(
    ['speed', 'extent', 'worker'].map((name) => bundle(`bench/fill/${name}.ts`)),
  );
  const runs = [[speed, ...names], ...(names.length ? [] : [['--expose-gc', extent, worker]])];
  for (const args of runs) await run(args);
}

async function run(args, env = process.env) {
  const { code, output } = await command(process.execPath, args, { cwd: ROOT, env });
  console.log(output.trim());
  if (code !== 0) process.exitCode = 1;
}

/** A fresh database, and what starts the application on it. */
async function prepared() {
  const { url, ownerUrl } = await database();
  const [port, smtp, http] = [await freePort(), await freePort(), await freePort()];
  const settings = {
    dataDir: DATA_DIR,
    port,
    host: '127.0.0.1',
    mailboxSmtpPort: smtp,
    mailboxPort: http,
    incomingPort: await freePort(),
    now: NOW,
  };
  const environment = environmentFor(settings, url);
  await prepareDatabase(environment, '--demonstration', ownerUrl);
  const start = async () => {
    await ensureBuild('.next', environment);
    const processes = new Processes(path.join(DATA_DIR, 'logs'), () => undefined);
    cleanUps.push(() => processes.stop());
    await startApplication({ processes, environment });
    return { base: `http://127.0.0.1:${port}`, browser: await ensureChromium() };
  };
  return { environment: { ...environment, DATABASE_OWNER_URL: ownerUrl }, start };
}

async function bringing() {
  const { base, browser } = await (await prepared()).start();
  console.log(await measureBringing(base, browser));
}

async function main() {
  const { environment, start } = await prepared();
  await run(['--expose-gc', await bundle('bench/pages.ts')], environment);
  const { base, browser } = await start();
  console.log(await measureWriting(base, browser));
  console.log(await measurePencil(base, browser));
  console.log(await measureSlowPhone(base, browser));
}
