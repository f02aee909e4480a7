import type { CompiledTemplate } from '../../src/core/fill/compileTemplate';
import { fillInto } from '../../src/core/fill/fillInto';
import { fillTemplate } from '../../src/core/fill/fillTemplate';
import { HtmlWriter } from '../../src/core/fill/write/htmlWriter';
import type { Situation } from '../../src/core/records/which/situation';
import { letterByHand } from './byHand';
import { otherEngines, type View } from './engines';
import { ordinaryLetters } from './ordinaryLetters';
import { manyRecords } from './records';
import { viewOf } from './views';

// Fills one ordinary letter for 2,000 clients with our core and with template libraries, in one process and run.
const SETS = 2000;
const ROUNDS = 21;
const { compiled, situations } = await ordinaryLetters(manyRecords(SETS));

interface Contender {
  name: string;
  fill: (i: number) => string;
}

const engines = otherEngines();
const views = situations.map(viewOf);
const itself = (view: View): unknown => view;
const contenders: Contender[] = [
  { name: 'ours: HTML, text, notes, holes', fill: (i) => fillTemplate(compiled, situations[i]!).html },
  { name: 'ours: HTML alone', fill: (i) => htmlOf(compiled, situations[i]!) },
  {
    name: 'by hand: HTML, text, notes, facts given',
    fill: (i) => letterByHand(views[i]!).html,
  },
  ...engines.map(({ name, prepare = itself, render }): Contender => {
    const given = views.map(prepare);
    return { name: `${name}, facts given`, fill: (i) => render(given[i] as never) };
  }),
  ...engines.map(({ name, prepare = itself, render }): Contender => ({
    name,
    fill: (i) => render(prepare(viewOf(situations[i]!)) as never),
  })),
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
const COLUMNS = ['fills/s', 'µs each', 'against eta', 'and its facts given', 'slowest round'];
const row = (name: string, cells: readonly string[]) =>
  console.log(name.padEnd(40) + cells.map((cell, i) => cell.padStart(COLUMNS[i]!.length + 3)).join(''));
console.log(`One ordinary letter, ${SETS} sets of records, median of ${ROUNDS} rounds in one process`);
row('', COLUMNS);
const ratio = (above: number, below: number) => `${(above / below).toFixed(2)} ×`;
for (const { name } of measured) {
  const time = median(name);
  const against = ['eta', 'eta, facts given'].map((of) => ratio(measuredAs(of) ? median(of) : NaN, time));
  const each = ((time / SETS) * 1000).toFixed(1);
  const perSecond = Math.round((SETS / time) * 1000).toLocaleString('en-GB');
  row(name, [perSecond, each, ...against, ratio(times.get(name)!.at(-1)!, time)]);
}

function measuredAs(name: string): boolean {
  return measured.some((one) => one.name === name);
}

function htmlOf(template: CompiledTemplate, situation: Situation): string {
  const page = new HtmlWriter();
  fillInto(template, situation, new Map(), page, () => undefined, { notes: false });
  return page.end();
}
