import { Worker } from 'node:worker_threads';

// Finds a client's facts in 3,000 words, of a client with 200 records, as the page does: in a worker of its own that makes ready first,
// while the records would be fetched. Beside it a search for each form that a fact may have by indexOf, which tells neither which fact is
// meant nor days and sums that are written otherwise.
const ROUNDS = 7;
const [worker] = process.argv.slice(2);

interface Told {
  ready: number;
  first: number;
  later: number[];
  plain: number;
  words: number;
  finds: number;
  records: number;
}

const rounds: Told[] = [];
for (let round = 0; round < ROUNDS; round++)
  rounds.push(
    await new Promise<Told>((resolve, reject) =>
      new Worker(worker!).once('message', resolve).once('error', reject),
    ),
  );
const median = (times: number[]) => times.sort((a, b) => a - b)[times.length >> 1]!;
const range = (times: number[]) => `${Math.min(...times).toFixed(0)} to ${Math.max(...times).toFixed(0)} ms`;
const all = (what: (told: Told) => number) => rounds.map(what);
const [{ words, finds, records }] = rounds as [Told];
console.log(`${words} words, ${finds} finds, a client with ${records} records; ${ROUNDS} workers, each new:`);
for (const [name, times] of [
  ['making ready', all(({ ready }) => ready)],
  ['the first letter', all(({ first }) => first)],
  ['a later one', rounds.flatMap(({ later }) => later)],
  ['indexOf of each form', all(({ plain }) => plain)],
] as const)
  console.log(`${name.padEnd(22)} median ${median(times).toFixed(0).padStart(4)} ms, ${range(times)}`);
