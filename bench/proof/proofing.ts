import path from 'node:path';
import { putWords } from '../../src/core/fairCopy/change/putWords';
import { linesOf } from '../../src/core/proof/reading/lines';
import { startsIn } from '../../src/core/records/startsIn';
import { proofLetter } from '../../src/core/writing/proofLetter';
import type { FilledLetter } from '../../src/core/writing/writingDesk';
import { demonstrationDesk } from '../../src/server/writing/demonstrationDesk';
import { SHAPES } from './shapes';

// Proofs every letter of the demonstration as it is typed in, and letters that a check could be slow on, each in two sizes. Linear:
// twice the text, about twice the time.
const ROUNDS = 5;
const SMALL = 16_000;

const desk = await demonstrationDesk(
  path.resolve('src/data/demonstration'),
  Date.parse('2026-11-25T09:00:00Z'),
);
const letters: FilledLetter[] = desk.facts.templates.flatMap(({ key, head }) =>
  startsIn(desk.book, head.startsFrom).flatMap(
    (from) => desk.fill({ kind: head.startsFrom, key: from }, { template: key, answers: {} }) ?? [],
  ),
);

const times: number[] = [];
for (let round = 0; round < ROUNDS; round++) {
  for (const letter of letters) {
    const document = typedIn(letter, ` ${round}`);
    const began = performance.now();
    proofLetter(document, letter);
    // The first round warms up.
    if (round > 0) times.push(performance.now() - began);
  }
}
times.sort((a, b) => a - b);
const at = (share: number) => times[Math.floor(share * (times.length - 1))]!.toFixed(2);
console.log(
  `${letters.length} letters, each ${ROUNDS - 1} times, a word typed in each time: median ${at(0.5)} ms, p95 ${at(0.95)} ms, slowest ${at(1)} ms`,
);

const [letter] = letters as [FilledLetter];
console.log(`\n${'shape'.padEnd(28)} ${'16 k'.padStart(9)} ${'32 k'.padStart(9)}   ratio`);
for (const [name, shape] of Object.entries(SHAPES)) {
  const [small, large] = [measure(shape, SMALL), measure(shape, 2 * SMALL)];
  console.log(
    `${name.padEnd(28)} ${small.toFixed(1).padStart(6)} ms ${large.toFixed(1).padStart(6)} ms ${(large / small).toFixed(1).padStart(7)}`,
  );
}

function measure(shape: string, length: number): number {
  const words = shape.repeat(Math.ceil(length / shape.length));
  const taken = Array.from({ length: ROUNDS }, (_, round) => {
    const document = typedIn(letter, `${words} ${round}`);
    const began = performance.now();
    proofLetter(document, letter);
    return performance.now() - began;
  });
  return taken.sort((a, b) => a - b)[ROUNDS >> 1]!;
}

/** A letter with words typed at the end of its last line. */
function typedIn({ document }: FilledLetter, words: string) {
  const last = linesOf(document).at(-1)!;
  return putWords(document, { line: last.index, from: last.text.length, to: last.text.length }, words);
}
