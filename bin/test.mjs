#!/usr/bin/env node
// npm test: everything that can fail, beside a running start: a data folder, a database, a build and ports of its own.
import { readFile, rm } from 'node:fs/promises';
import path from 'node:path';
import { prepareDatabase, startApplication } from './setup/application.mjs';
import { ensureBuild } from './setup/build.mjs';
import { ensureChromium } from './setup/chromium.mjs';
import { command } from './setup/command.mjs';
import { holdDataFolder } from './setup/lock.mjs';
import { ensureDovecot } from './setup/dovecot.mjs';
import { ensurePdftotext } from './setup/pdftotext.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { freePort } from './setup/ports.mjs';
import { startPostgres } from './setup/postgres.mjs';
import { Processes } from './setup/processes.mjs';
import { ROOT } from './setup/root.mjs';
import { saying } from './setup/sentence.mjs';
import { environmentFor } from './setup/settings.mjs';

const DATA_DIR = path.join(ROOT, '.test');
const NOW = '2026-11-25T09:00:00Z';
const bin = (name) => path.join(ROOT, 'node_modules', name);
const tally = { passed: 0, failed: 0 };
const cleanUps = [];

await saying(main);

async function main() {
  const leave = async (code) => {
    for (const cleanUp of cleanUps.splice(0).reverse()) await cleanUp().catch(() => undefined);
    process.exit(code);
  };
  for (const name of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(name, () => leave(1));
  try {
    cleanUps.push(await holdDataFolder(DATA_DIR));
    await ensurePackages();
    await step('formatting', [bin('prettier/bin/prettier.cjs'), '--check', '--log-level', 'warn', '.']);
    await step('types', [bin('typescript/bin/tsc'), '--noEmit']);
    await step('lint', [bin('eslint/bin/eslint.js'), '.', '--max-warnings', '0']);
    await step('floors', [
      bin('dependency-cruiser/bin/dependency-cruise.mjs'),
      '--config',
      '.dependency-cruiser.cjs',
      'src',
      'bin',
      'stand-ins',
      'e2e',
      'bench',
    ]);
    await step('nothing unused', [bin('knip/bin/knip.js')]);
    await ensurePdftotext();
    await ensureDovecot();
    const postgres = await startPostgres(DATA_DIR);
    cleanUps.push(postgres.stop);
    await vitest(postgres.ownerUrl);
    await endToEnd(postgres);
    await step('kills and faults', [path.join(ROOT, 'bin/chaos.mjs'), '60'], { NEXT_DIST_DIR: '.test/next' });
  } catch (error) {
    console.error(error.message ?? error);
    tally.failed++;
  }
  console.log(`\n${tally.passed} passed, ${tally.failed} failed`);
  await leave(tally.failed ? 1 : 0);
}

/** Runs a check that passes or fails as a whole. */
async function step(name, args, more = {}) {
  const began = Date.now();
  const { code, output } = await command(process.execPath, args, {
    cwd: ROOT,
    env: { ...process.env, ...more },
  });
  const passed = code === 0;
  tally[passed ? 'passed' : 'failed']++;
  say(name, passed ? 'passed' : 'failed', began);
  if (!passed) console.log(output.trim());
}

async function vitest(databaseUrl) {
  const report = path.join(DATA_DIR, 'vitest.json');
  await rm(report, { force: true });
  const began = Date.now();
  const { code, output } = await command(
    process.execPath,
    [bin('vitest/vitest.mjs'), 'run', '--reporter=dot', '--reporter=json', `--outputFile.json=${report}`],
    { cwd: ROOT, env: { ...process.env, TEST_DATABASE_URL: databaseUrl, NODE_ENV: 'test' } },
  );
  const result = await readFile(report, 'utf8')
    .then(JSON.parse)
    .catch(() => undefined);
  count('unit and database tests', result?.numPassedTests, result?.numFailedTests, { code, output, began });
}

async function endToEnd(postgres) {
  const chromium = await ensureChromium();
  const { environment, mailbox } = await startFor(postgres, DATA_DIR, 'yes');
  // A second one, where nobody has made a business yet.
  const emptyDir = path.join(DATA_DIR, 'empty');
  const nobodys = await startPostgres(emptyDir);
  cleanUps.push(nobodys.stop);
  const empty = await startFor(nobodys, emptyDir, 'no');
  const report = path.join(DATA_DIR, 'e2e.json');
  await rm(report, { force: true });
  const began = Date.now();
  const { code, output } = await command(
    process.execPath,
    [bin('@playwright/test/cli.js'), 'test', '--reporter=list,json'],
    {
      cwd: ROOT,
      env: {
        ...environment,
        NODE_ENV: 'test',
        CHROMIUM: chromium,
        BASE_URL: `http://127.0.0.1:${environment.PORT}`,
        MAILBOX_URL: mailbox,
        EMPTY_URL: `http://127.0.0.1:${empty.environment.PORT}`,
        EMPTY_MAILBOX_URL: empty.mailbox,
        EMPTY_DATABASE_URL: nobodys.ownerUrl,
        PLAYWRIGHT_JSON_OUTPUT_NAME: report,
      },
    },
  );
  const stats = (
    await readFile(report, 'utf8')
      .then(JSON.parse)
      .catch(() => undefined)
  )?.stats;
  count('end-to-end tests', stats?.expected, stats && stats.unexpected + stats.flaky, {
    code,
    output,
    began,
  });
}

/** Starts an application of its own over a database, with or without the demonstration. */
async function startFor({ url, ownerUrl }, dataDir, demonstration) {
  const [port, smtp, http, imap, incoming, providerPort, providerSmtpPort] = [
    await freePort(),
    await freePort(),
    await freePort(),
    await freePort(),
    await freePort(),
    await freePort(),
    await freePort(),
  ];
  const settings = {
    dataDir,
    port,
    host: '127.0.0.1',
    mailboxSmtpPort: smtp,
    mailboxPort: http,
    mailboxImapPort: imap,
    incomingPort: incoming,
    providerPort,
    providerSmtpPort,
    now: NOW,
  };
  const environment = {
    ...environmentFor(settings, url),
    NEXT_DIST_DIR: '.test/next',
    FAIRQUILL_DEMONSTRATION: demonstration,
  };
  await prepareDatabase(
    environment,
    demonstration === 'yes' ? '--demonstration' : '--no-demonstration',
    ownerUrl,
  );
  await ensureBuild('.test/next', environment);
  const processes = new Processes(path.join(dataDir, 'logs'), (name, code) =>
    console.error(`The ${name} process ended (${code}).`),
  );
  cleanUps.push(() => processes.stop());
  await startApplication({ processes, environment });
  return { environment, mailbox: `http://127.0.0.1:${http}` };
}

/** Adds a runner's counts; a runner that failed without saying why, or ran nothing, has failed. */
function count(name, passed = 0, failed = 0, { code, output, began }) {
  const silent = (code !== 0 && failed === 0) || passed + failed === 0 ? 1 : 0;
  tally.passed += passed;
  tally.failed += failed + silent;
  say(name, `${passed} passed, ${failed + silent} failed`, began);
  if (failed + silent) console.log(output.trim().split('\n').slice(-200).join('\n'));
}

function say(name, result, began) {
  console.log(`${name}: ${result} (${((Date.now() - began) / 1000).toFixed(1)} s)`);
}
