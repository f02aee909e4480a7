#!/usr/bin/env node
// npm run chaos -- [letters] [seed]: sends letters, has every second one answered and types in a template while the application's
// processes are killed at random moments, and counts what was lost, doubled, flagged or stuck. Ends with 1 when anything was.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdir, readFile, rm } from 'node:fs/promises';
import path from 'node:path';
import { answersAt } from './chaos/answers.mjs';
import { count, WRONG, wrongOf } from './chaos/count.mjs';
import { historyOf, statesOf, write } from './chaos/letters.mjs';
import { openDesk } from './chaos/desk.mjs';
import { openShelf } from './chaos/shelf.mjs';
import { pidsOf, VICTIMS } from './chaos/victims.mjs';
import { ensurePackages } from './setup/packages.mjs';
import { freePort } from './setup/ports.mjs';
import { startPostgres } from './setup/postgres.mjs';
import { ROOT } from './setup/root.mjs';
import { saying, Sentence } from './setup/sentence.mjs';

const DATA_DIR = path.join(ROOT, '.chaos');
const RECORD = path.join(DATA_DIR, 'arrived');
/** Letters written at once, and a pause between a kill and the next, in milliseconds. */
const BATCH = 10;
const PAUSES = [800, 3500];
/** What is on its way at the end has so long to go, in milliseconds. */
const LAST = 240_000;

const letters = number(process.argv[2], 300);
const seed = number(process.argv[3], Date.now() % 1_000_000);
const random = seeded(seed);
const own = { 'start command': 0, 'mail server': 0 };

await saying(async () => {
  await ensurePackages();
  await rm(DATA_DIR, { recursive: true, force: true });
  await mkdir(DATA_DIR, { recursive: true });
  console.log(`${letters} letters, seed ${seed}: npm run chaos -- ${letters} ${seed}`);
  const ports = { PORT: await freePort(), SMTP: await freePort(), INCOMING: await freePort() };
  const { cluster, url } = await startPostgres(DATA_DIR);
  // Whoever starts the server again may give it another port.
  const urlOf = async () => {
    const lines = await readFile(path.join(cluster, 'postmaster.pid'), 'utf8').catch(() => '');
    return url.replace(/:\d+\//, `:${Number(lines.split('\n')[3]) || 1}/`);
  };
  let ended = false;
  try {
    keepMailServer(ports.SMTP, () => ended);
    keepStarted(ports, () => ended);
    await healthy(ports.PORT);
    const ids = Array.from({ length: letters }, () => randomUUID());
    const takenBack = new Set();
    const kills = new Map();
    const desk = await openDesk(ports.PORT);
    const shelf = await openShelf(ports.PORT);
    const answers = answersAt(ports.INCOMING, random);
    const writing = writeAll(ids, urlOf, answers.to);
    const typing = desk.typeUntil(writing);
    const sending = shelf.sendUntil(writing);
    const taking = takeSomeBack(ids, ports.PORT, takenBack, () => ended);
    for (let done = false; !done;) {
      await pause(PAUSES[0] + random() * (PAUSES[1] - PAUSES[0]));
      const victim = VICTIMS[Math.floor(random() * VICTIMS.length)];
      const pids = await pidsOf(victim, { dataDir: DATA_DIR, cluster, own });
      for (const pid of pids) kill(pid, victim.endsWith('gently') ? 'SIGTERM' : 'SIGKILL');
      if (pids.length) kills.set(victim, (kills.get(victim) ?? 0) + 1);
      done = await Promise.race([writing.then(() => true), pause(1).then(() => false)]);
    }
    await sending;
    await healthy(ports.PORT);
    const { out, waited } = await shelf.close();
    ids.push(...out);
    const seconds = await untilGone(ids, urlOf, ports.PORT);
    tellAnswers(await answers.end(urlOf, LAST));
    ended = true;
    await taking;
    await typing;
    tellTyped(await desk.count());
    console.log(`${out.length} letters sent on a page, ${waited} of them waited on the device for a server.`);
    const states = await statesOf(urlOf, ids);
    const arrivals = await readFile(RECORD, 'utf8');
    report(kills, seconds, count(ids, states, arrivals, takenBack));
    for (const words of await historyOf(urlOf, wrongOf(ids, states, arrivals, takenBack))) console.log(words);
  } finally {
    ended = true;
    for (const pid of Object.values(own)) if (pid) kill(pid, 'SIGTERM');
    await pause(4000);
    // What a start command left behind that was killed itself.
    for (const left of ['web', 'worker', 'incoming'])
      for (const pid of await pidsOf(left, { dataDir: DATA_DIR, cluster, own })) kill(pid, 'SIGKILL');
    await startPostgres(DATA_DIR).then(({ stop }) => stop());
    await rm(DATA_DIR, { recursive: true, force: true });
  }
});

/** Starts a program, and again a moment after each time it has ended. */
function keep(name, args, environment, ended) {
  const child = spawn(process.execPath, args, {
    cwd: ROOT,
    env: { ...process.env, ...environment },
    stdio: 'ignore',
    detached: true,
  });
  own[name] = child.pid;
  child.on('exit', () => {
    own[name] = 0;
    setTimeout(() => !ended() && keep(name, args, environment, ended), random() * 1000);
  });
}

function keepMailServer(port, ended) {
  keep('mail server', [path.join(ROOT, 'bin/chaos/mailServer.mjs'), String(port), RECORD], {}, ended);
}

function keepStarted({ PORT, SMTP, INCOMING }, ended) {
  const environment = {
    DATA_DIR,
    PORT: String(PORT),
    SMTP_URL: `smtp://127.0.0.1:${SMTP}`,
    INCOMING_PORT: String(INCOMING),
    FAIRQUILL_DEMONSTRATION: 'yes',
    DATABASE_URL: '',
  };
  keep('start command', [path.join(ROOT, 'bin/start.mjs')], environment, ended);
}

/** Some letters a second, whatever is dead at the moment; every second one is answered. */
async function writeAll(ids, urlOf, answer) {
  for (let at = 0; at < ids.length; at += BATCH) {
    const batch = ids.slice(at, at + BATCH);
    await write(urlOf, batch);
    for (const [n, id] of batch.entries()) if (n % 2 === 0) answer(id);
    await pause(1000);
  }
}

/** Asks for every eighth letter to be taken back, at about the moment it goes. */
async function takeSomeBack(ids, port, takenBack, ended) {
  const base = `http://127.0.0.1:${port}`;
  const headers = { origin: base, 'content-type': 'application/json' };
  let cookie;
  for (let at = 0; at < ids.length && !ended(); at += 8) {
    await pause(700);
    try {
      cookie ??= await signIn(base, headers);
      const answer = await fetch(`${base}/api/letters/${ids[at]}/take-back`, {
        method: 'POST',
        headers: { ...headers, cookie },
        body: '{}',
        signal: AbortSignal.timeout(5000),
      });
      if (answer.ok && (await answer.json()).status === 'taken back') takenBack.add(ids[at]);
    } catch {
      // Nobody was there to be asked; the letter goes.
    }
  }
}

async function signIn(base, headers) {
  const body = JSON.stringify({ email: 'imke@larkfield.example', password: 'larkfield-imke' });
  const answer = await fetch(`${base}/api/session`, { method: 'POST', headers, body });
  return answer.headers.getSetCookie()[0].split(';')[0];
}

/** Waits until nothing is on its way. Gives how long that took, in seconds. */
async function untilGone(ids, urlOf, port) {
  const began = Date.now();
  await healthy(port);
  while (Date.now() - began < LAST) {
    const states = await statesOf(urlOf, ids);
    if (![...states.values()].includes('going')) break;
    await pause(500);
  }
  return (Date.now() - began) / 1000;
}

async function healthy(port) {
  for (const until = Date.now() + LAST; Date.now() < until;) {
    if ((await fetch(`http://127.0.0.1:${port}/health`).catch(() => undefined))?.ok) return;
    await pause(250);
  }
  throw new Sentence('The application does not come back.');
}

function report(kills, seconds, counted) {
  const killed = [...kills].map(([victim, times]) => `${victim} ${times}`).join(', ');
  console.log(
    `Killed: ${killed || 'nothing'}. The last letter was dealt with ${seconds.toFixed(1)} s later.`,
  );
  for (const [what, times] of Object.entries(counted)) console.log(`${String(times).padStart(6)} ${what}`);
  if (WRONG.some((what) => counted[what])) process.exitCode = 1;
}

/** What was typed in a template while the servers went, and is there at another device. */
function tellTyped({ typed, lost }) {
  console.log(
    `${String(typed).padStart(6)} words typed in a template\n${String(lost).padStart(6)} of them lost`,
  );
  if (lost || !typed) process.exitCode = 1;
}

/** What became of the answers that were brought. */
function tellAnswers({ answered, tries, ...wrong }) {
  console.log(`${String(answered).padStart(6)} answers brought, ${tries} times in all`);
  for (const [what, times] of Object.entries(wrong))
    console.log(`${String(times).padStart(6)} of them ${what}`);
  if (Object.values(wrong).some((times) => times > 0)) process.exitCode = 1;
}

function kill(pid, signal) {
  try {
    process.kill(pid, signal);
  } catch {
    // It was gone already.
  }
}

function pause(milliseconds) {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}

function number(text, otherwise) {
  const value = text === undefined ? otherwise : Number(text);
  if (!Number.isInteger(value) || value < 1) {
    console.error(`“${text}” is no number of letters or seed: npm run chaos -- [letters] [seed]`);
    process.exit(1);
  }
  return value;
}

/** Numbers from 0 to 1 that are the same for the same seed (mulberry32). */
function seeded(from) {
  let state = from >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}
