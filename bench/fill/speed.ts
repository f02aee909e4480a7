import type { CompiledTemplate } from '../../src/core/fill/compileTemplate';
import { fillInto } from '../../src/core/fill/fillInto';
import { fillTemplate } from '../../src/core/fill/fillTemplate';
import { HtmlWriter } from '../../src/core/fill/write/htmlWriter';
import type { Situation } from '../../src/core/records/which/situation';
import { otherEngines } from './engines';
import { ordinaryLetters } from './ordinaryLetters';
import { manyRecords } from './records';
import { viewOf } from './views';

// Fills one ordinary letter for 2,000 clients with our core and with template libraries, in one process and run.
const SETS = 2000;
const ROUNDS = 9;
const { compiled, situations } = await ordinaryLetters(manyRecords(SETS));

interface Contender {
  name: string;
  fill: (i: number) => string;
}

const views = situations.map(viewOf);
const contenders: Contender[] = [
  { name: 'ours: HTML, text, notes, holes', fill: (i) => fillTemplate(compiled, situations[i]!).html },
  { name: 'ours: HTML alone', fill: (i) => htmlOf(compiled, situations[i]!) },
  ...otherEngines().map(({ name, prepare, render }): Contender => {
    const given = views.map((view) => prepare?.(view) ?? view);
    return { name, fill: (i) => render(given[i] as never) };
  }),
];

// Names of contenders may be given, to look at these alone.
const wanted = process.argv.slice(2);
const measured = contenders.filter(({ name }) => !wanted.length || wanted.includes(name));

for (let i = 0; i < SETS; i++) {
  const expected = contenders[0]!.fill(i);
  for (const { name, fill } of contenders) {
    const html = fill(i);
    if (html !== expected) throw new Error(`${name} writes otherwise for ${i}:\n${html}\n\n${expected}`);
  }
}

const times = new Map<string, number[]>(contenders.map(({ name }) => [name, []]));
for (let round = 0; round < ROUNDS; round++) {
  for (const { name, fill } of measured) {
    const began = performance.now();
    for (let i = 0; i < SETS; i++) fill(i);
    times.get(name)!.push(performance.now() - began);
  }
}
const median = (name: string) => times.get(name)!.sort((a, b) => a - b)[ROUNDS >> 1]!;
const eta = wanted.length && !wanted.includes('eta') ? NaN : median('eta');
console.log(`One ordinary letter, ${SETS} sets of records, median of ${ROUNDS} rounds in one process`);
console.log(`${''.padEnd(32)}    fills/s      µs each   against eta   slowest round`);
for (const { name } of measured) {
  const time = median(name);
  const all = times.get(name)!;
  console.log(
    `${name.padEnd(32)} ${Math.round((SETS / time) * 1000)
      .toLocaleString('en-GB')
      .padStart(
        10,
      )}   ${((time / SETS) * 1000).toFixed(1).padStart(8)}   ${(eta / time).toFixed(2).padStart(8)} ×    ${(all.at(-1)! / time).toFixed(2).padStart(8)} ×`,
  );
}

function htmlOf(template: CompiledTemplate, situation: Situation): string {
  const page = new HtmlWriter();
  fillInto(template, situation, new Map(), page, () => undefined, { notes: false });
  return page.end();
}
