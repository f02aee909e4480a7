import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { expect, it } from 'vitest';
import { TooSlow, WordsReader } from './wordsReader';

it('ends a thread that takes too long, and reads the next with another', async () => {
  const file = path.join(await mkdtemp(path.join(tmpdir(), 'reader-')), 'reader.mjs');
  await writeFile(
    file,
    `import { parentPort } from 'node:worker_threads';
     parentPort.on('message', ({ text }) => {
       if (text === 'broken') throw new Error('broken');
       while (text === 'slow');
       parentPort.postMessage({ problems: [], read: text });
     });`,
  );
  const reader = new WordsReader(file, 2_500);
  const ask = (text: string) => reader.read({ text, facts: {} as never });
  const all = await Promise.allSettled([ask('one'), ask('slow'), ask('two'), ask('broken'), ask('three')]);
  expect(
    all.map((one) => (one.status === 'fulfilled' ? one.value : (one.reason as Error).constructor)),
  ).toEqual([
    { problems: [], read: 'one' },
    TooSlow,
    { problems: [], read: 'two' },
    Error,
    { problems: [], read: 'three' },
  ]);
});
