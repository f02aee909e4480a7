import type { CompiledTemplate } from '../../src/core/fill/compileTemplate';
import { fillInto, type Answers } from '../../src/core/fill/fillInto';
import { fillTemplate } from '../../src/core/fill/fillTemplate';
import { HtmlWriter } from '../../src/core/fill/write/htmlWriter';
import type { Situation } from '../../src/core/records/which/situation';
import { letterByHand } from './byHand';
import { nunjucksEngine, otherEngines, type Engine, type View } from './engines';
import { ordinaryLetters } from './ordinaryLetters';
import { manyRecords } from './records';
import { viewOf } from './views';

// Fills one ordinary letter for 2,000 clients with our core and with template libraries, in one process and run.
const SETS = 2000;
const ROUNDS = 21;
const NO_ANSWERS: Answers = new Map();
const WITHOUT_NOTES = { notes: false };
const noSubject = () => undefined;
const { compiled, situations } = await ordinaryLetters(manyRecords(SETS));

interface Contender {
  name: string;
  fill: (i: number) => string;
}

const views = situations.map(viewOf);
const itself = (view: View): unknown => view;
const ours: Contender[] = [
  { name: 'ours: HTML, text, notes, holes', fill: (i) => fillTemplate(compiled, situations[i]!).html },
  { name: 'ours: HTML alone', fill: (i) => htmlOf(compiled, situations[i]!) },
  { name: 'by hand: HTML, text, notes, facts given', fill: (i) => letterByHand(views[i]!).html },
];

// Names of contenders may be given, to look at these alone.
const wanted = process.argv.slice(2);
const times = new Map<string, number[]>();
measure([...ours, ...contenders(otherEngines())]);
measure(contenders([await nunjucksEngine()]));

/** A library both ways: with every fact given, and from the same records. */
function contenders(engines: readonly Engine[]): Contender[] {
  return engines.flatMap(({ name, prepare = itself, render }): Contender[] => {
    const given = views.map(prepare);
    return [
      { name, fill: (i) => render(prepare(viewOf(situations[i]!)) as never) },
      { name: `${name}, facts given`, fill: (i) => render(given[i] as never) },
    ];
  });
}

/** Compares what they write, then takes the time of each in turn, round by round. */
function measure(all: readonly Contender[]): void {
  const measured = all.filter(({ name }) => !wanted.length || wanted.includes(name));
  for (const { name, fill } of measured) {
    times.set(name, []);
    for (let i = 0; i < SETS; i++) {
      const [html, expected] = [fill(i), ours[0]!.fill(i)];
      if (html !== expected) throw new Error(`${name} writes otherwise for ${i}:\n${html}\n\n${expected}`);
    }
  }
  for (let round = 0; round < ROUNDS; round++) {
    for (const { name, fill } of measured) {
      const began = performance.now();
      for (let i = 0; i < SETS; i++) fill(i);
      times.get(name)!.push(performance.now() - began);
    }
  }
}

const median = (name: string) => times.get(name)!.sort((a, b) => a - b)[ROUNDS >> 1]!;
const COLUMNS = ['fills/s', 'µs each', 'against eta', 'and its facts given', 'slowest round'];
const row = (name: string, cells: readonly string[]) =>
  console.log(name.padEnd(40) + cells.map((cell, i) => cell.padStart(COLUMNS[i]!.length + 3)).join(''));
console.log(`One ordinary letter, ${SETS} sets of records, median of ${ROUNDS} rounds in one process`);
row('', COLUMNS);
const ratio = (above: number, below: number) => `${(above / below).toFixed(2)} ×`;
for (const name of times.keys()) {
  const time = median(name);
  const against = ['eta', 'eta, facts given'].map((of) => (times.has(of) ? ratio(median(of), time) : ''));
  const each = ((time / SETS) * 1000).toFixed(1);
  const perSecond = Math.round((SETS / time) * 1000).toLocaleString('en-GB');
  row(name, [perSecond, each, ...against, ratio(times.get(name)!.at(-1)!, time)]);
}

/** Neither a subject nor notes. */
function htmlOf(template: CompiledTemplate, situation: Situation): string {
  const page = new HtmlWriter();
  fillInto(template, situation, NO_ANSWERS, page, noSubject, WITHOUT_NOTES);
  return page.end();
}
