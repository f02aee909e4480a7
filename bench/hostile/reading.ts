import { readTemplate } from '../../src/core/template/text/readTemplate';
import { tooLarge } from '../../src/core/template/text/tooLarge';
import { SHAPES } from './shapes';

// Reads texts that a reader could be slow on, each in two sizes. Linear: twice the text, about twice the time; where a
// limit refuses it, no time at all.
const SMALL = 16_000;
const ROUNDS = 5;
const HEAD = '---\nname: A\ngroup: G\nstarts from: client\nsubject: x\n---\n';

console.log(`${'shape'.padEnd(34)} ${'16 k'.padStart(8)} ${'32 k'.padStart(8)}    ratio  what it says`);
for (const [name, shape] of Object.entries(SHAPES)) {
  const [small, large] = [measure(shape(SMALL)), measure(shape(2 * SMALL))];
  console.log(
    `${name.padEnd(34)} ${inMs(small.ms)} ${inMs(large.ms)} ${(large.ms / small.ms).toFixed(1).padStart(8)}  ${large.says}`,
  );
}

function measure(words: string): { ms: number; says: string } {
  const times = Array.from({ length: ROUNDS }, () => {
    const began = performance.now();
    const says = tooLarge(words) ?? readTemplate(HEAD + words, 'hostile.md').problems[0]?.message ?? 'read';
    return { ms: performance.now() - began, says };
  });
  return times.sort((a, b) => a.ms - b.ms)[Math.floor(ROUNDS / 2)]!;
}

function inMs(ms: number): string {
  return `${ms.toFixed(1).padStart(5)} ms`;
}
