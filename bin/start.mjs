#!/usr/bin/env node
// npm start: sets up what is missing, starts everything, and stops it again on Ctrl-C. npm start -- --empty: without the demonstration.
import path from 'node:path';
import { prepareDatabase, startApplication } from './setup/application.mjs';
import { ensureBuild } from './setup/build.mjs';
import { holdDataFolder } from './setup/lock.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { requireFree } from './setup/ports.mjs';
import { startPostgres } from './setup/postgres.mjs';
import { Processes } from './setup/processes.mjs';
import { saying, Sentence } from './setup/sentence.mjs';
import { environmentFor, isLoopback, readSettings } from './setup/settings.mjs';

if (process.argv.includes('--empty')) process.env.FAIRQUILL_DEMONSTRATION = 'no';
await saying(() => main({ dev: process.argv.includes('--dev') }));

async function main({ dev }) {
  const began = Date.now();
  const settings = readSettings();
  const cleanUps = [];
  let leaving;
  const leave = (code) => {
    leaving ??= (async () => {
      for (const cleanUp of cleanUps.reverse())
        await cleanUp().catch((error) => console.error(error.message));
      process.exit(code);
    })();
    return leaving;
  };
  for (const name of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(name, () => leave(0));
  try {
    requireNode();
    // First, as a killed start may have left processes that still hold the ports.
    cleanUps.push(await holdDataFolder(settings.dataDir));
    await requireFree(settings.port, settings.host, 'PORT', 'the application');
    await requireFree(settings.mailboxSmtpPort, '127.0.0.1', 'MAILBOX_SMTP_PORT', 'the mailbox stand-in');
    await requireFree(settings.mailboxPort, '127.0.0.1', 'MAILBOX_PORT', 'the mailbox stand-in');
    await requireFree(settings.mailboxImapPort, '127.0.0.1', 'MAILBOX_IMAP_PORT', 'the mailbox stand-in');
    await requireFree(settings.providerSmtpPort, '127.0.0.1', 'PROVIDER_SMTP_PORT', 'the provider stand-in');
    await requireFree(settings.providerPort, '127.0.0.1', 'PROVIDER_PORT', 'the provider stand-in');
    await requireFree(settings.incomingPort, settings.incomingHost, 'INCOMING_PORT', 'mail that comes in');
    await ensurePackages();
    let { databaseUrl, ownerUrl } = settings;
    if (!databaseUrl) {
      const postgres = await startPostgres(settings.dataDir);
      postgres.watch((words) => console.error(words));
      cleanUps.push(postgres.stop);
      ({ url: databaseUrl, ownerUrl } = postgres);
    }
    const environment = environmentFor(settings, databaseUrl);
    const demonstration = environment.FAIRQUILL_DEMONSTRATION === 'yes';
    const done = await prepareDatabase(
      environment,
      demonstration ? '--demonstration-if-empty' : '--no-demonstration',
      ownerUrl,
    );
    if (done) console.log(done);
    if (!dev) await ensureBuild(process.env.NEXT_DIST_DIR || '.next', environment);
    const processes = new Processes(
      settings.logs,
      (name, code, again) => {
        console.error(
          `The ${name} process ended (${code}) and is started again in ${again} s. Its log is ${path.join(settings.logs, `${name}.log`)}`,
        );
      },
      { watch: true },
    );
    cleanUps.push(() => processes.stop());
    await startApplication({ processes, environment, dev, mailbox: !settings.smtpUrl });
    report(settings, began, demonstration);
  } catch (error) {
    console.error(error instanceof Sentence ? error.message : error);
    await leave(1);
  }
}

function requireNode() {
  const major = Number(process.versions.node.split('.')[0]);
  if (major < 20) throw new Sentence(`Node.js 20 or newer is needed; this is ${process.versions.node}.`);
}

function report({ host, port, mailboxPort, logs, smtpUrl }, began, demonstration) {
  const open = demonstration && !isLoopback(host);
  console.log(`
Fair Quill is ready (after ${((Date.now() - began) / 1000).toFixed(1)} s).

  The application    http://${host}:${port}
${demonstration ? '  Sign in with       imke@larkfield.example, password larkfield-imke\n' : ''}  ${smtpUrl ? 'Letters go to      the server in SMTP_URL' : `The mailbox        http://127.0.0.1:${mailboxPort}`}
  Logs               ${logs}
${open ? '\nThe demonstration is open to whoever reaches this machine: its passwords are published.\n' : ''}
Ctrl-C stops it.`);
}
