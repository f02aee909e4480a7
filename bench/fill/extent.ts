import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { gzipSync } from 'node:zlib';
import { build } from 'esbuild';
import { readPassages } from '../../bin/fill/readPassages';
import { compileTemplate } from '../../src/core/fill/compileTemplate';
import { fillTemplate } from '../../src/core/fill/fillTemplate';
import { schemaOf } from '../../src/core/records/schema';
import { readTemplate } from '../../src/core/template/text/readTemplate';
import { readDemonstration } from '../../src/data/demonstration/readDemonstration';
import { ordinaryLetters } from './ordinaryLetters';
import { manyRecords } from './records';

// What filling costs besides its speed: compiling, memory, long listings, a worker, script in the browser.
const DEMONSTRATION = path.join(process.cwd(), 'src/data/demonstration');
const ROUNDS = 20;

await compiling();
await growth();
await inWorker(10_000);
await size();

async function compiling(): Promise<void> {
  const { records } = await readDemonstration(DEMONSTRATION, Date.parse('2026-11-25T09:00:00Z'));
  const schema = schemaOf(records);
  const files = await templates();
  const passages = await readPassages(path.join(DEMONSTRATION, 'passages'), []);
  const read = () => files.map(({ name, text }) => readTemplate(text, name));
  const compile = (all: ReturnType<typeof read>) =>
    all.map(({ value }) => compileTemplate(value!, { schema, passages }).compiled!);
  let [reading, compilation] = [Infinity, Infinity];
  for (let round = 0; round < ROUNDS; round++) {
    const began = performance.now();
    const all = read();
    const between = performance.now();
    compile(all);
    reading = Math.min(reading, between - began);
    compilation = Math.min(compilation, performance.now() - between);
  }
  const all = read();
  const kept: unknown[] = [];
  const before = heap();
  for (let round = 0; round < ROUNDS; round++) kept.push(compile(all));
  const each = (heap() - before) / (ROUNDS * files.length);
  if (kept.length !== ROUNDS) throw new Error('nothing was kept');
  say(`Reading ${files.length} templates`, `${reading.toFixed(1)} ms (best of ${ROUNDS})`);
  say(`Compiling them`, `${compilation.toFixed(1)} ms (best of ${ROUNDS})`);
  say('Heap of a compiled template', `${(each / 1000).toFixed(1)} kB on average`);
}

async function templates(): Promise<{ name: string; text: string }[]> {
  const folder = path.join(DEMONSTRATION, 'templates');
  const names = (await readdir(folder)).filter((name) => name.endsWith('.md'));
  return Promise.all(
    names.map(async (name) => ({ name, text: await readFile(path.join(folder, name), 'utf8') })),
  );
}

async function growth(): Promise<void> {
  const times: string[] = [];
  for (const lines of [10, 100, 1000]) {
    const { compiled, situations } = await ordinaryLetters(manyRecords(20, lines));
    let best = Infinity;
    for (let round = 0; round < ROUNDS; round++) {
      const began = performance.now();
      for (const situation of situations) fillTemplate(compiled, situation);
      best = Math.min(best, (performance.now() - began) / situations.length);
    }
    times.push(`${lines}: ${(best * 1000).toFixed(0)} µs`);
  }
  say('A listing of so many items', times.join(', '));
}

async function inWorker(letters: number): Promise<void> {
  // The bundle is named by whoever runs this.
  const worker = new Worker(process.argv[2]!, { workerData: { letters, sets: 2000 } });
  const { milliseconds } = await new Promise<{ milliseconds: number }>((done, failed) => {
    worker.once('message', done);
    worker.once('error', failed);
  });
  await worker.terminate();
  say(`${letters.toLocaleString('en-GB')} fills in a worker`, `${milliseconds.toFixed(0)} ms`);
}

/** All that a page needs to fill and to proof, as the browser gets it; reading the text form is apart. */
async function size(): Promise<void> {
  const { outputFiles } = await build({
    stdin: {
      contents: `export { WritingDesk } from './src/core/writing/writingDesk'; export { proofLetter } from './src/core/writing/proofLetter'; export { marginOf } from './src/core/writing/marginOf';`,
      resolveDir: process.cwd(),
    },
    bundle: true,
    minify: true,
    format: 'esm',
    platform: 'browser',
    write: false,
  });
  const contents = outputFiles[0]!.contents;
  say('The core in the browser', `${(gzipSync(contents).length / 1000).toFixed(0)} kB compressed`);
}

function heap(): number {
  (globalThis as { gc?: () => void }).gc?.();
  return process.memoryUsage().heapUsed;
}

function say(what: string, found: string): void {
  console.log(`${what.padEnd(32)} ${found}`);
}
