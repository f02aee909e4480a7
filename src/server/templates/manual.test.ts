import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { compileTemplate } from '../../core/fill/compileTemplate';
import { fillTemplate } from '../../core/fill/fillTemplate';
import { inWords } from '../../core/problems/problem';
import { isStartingKind } from '../../core/records/recordKind';
import { schemaOf } from '../../core/records/schema';
import { readTemplate } from '../../core/template/text/readTemplate';
import { demonstrationDesk } from '../writing/demonstrationDesk';

/** A template of the manual with what it says there. */
interface Example {
  line: number;
  from: string;
  template: string;
  says: string;
}

const manual = readFileSync('docs/templates.md', 'utf8');
const desk = await demonstrationDesk('src/data/demonstration', Date.UTC(2026, 10, 25, 9));

/** The blocks of the manual with their results, and the rows of its tables below a comment that says where they start. */
function examplesOf(text: string): Example[] {
  const examples: Example[] = [];
  const lineOf = (at: number) => text.slice(0, at).split('\n').length;
  const blocks = /```markdown from (\S+)\n(.*?)```\n\n```text\n(.*?)```/gs;
  for (const { index, 1: from, 2: template, 3: says } of text.matchAll(blocks))
    examples.push({ line: lineOf(index), from: from!, template: template!, says: says! });
  for (const { index, 1: from, 2: table } of text.matchAll(/<!-- from (\S+) -->\n\n((?:\|.*\n)+)/g)) {
    for (const { index: row, 1: tag, 2: says } of table!.matchAll(/^\| `(.*)` +\| (.*?) *\|$/gm)) {
      const template = `${tag!.replaceAll('\\|', '|')}\n`;
      examples.push({ line: lineOf(index + row) + 2, from: from!, template, says: `${says}\n` });
    }
  }
  return examples;
}

function fill({ from, template }: Example): string {
  const [kind = '', key = ''] = from.split(':');
  if (!isStartingKind(kind)) throw new Error(`Nothing starts from ${from}.`);
  const head = `---\nname: T\ngroup: G\nstarts from: ${kind}\nsubject: S\n---\n`;
  const reading = readTemplate(template.startsWith('---\n') ? template : head + template, 'example');
  if (!reading.value) throw new Error(reading.problems.map(inWords).join('\n'));
  const passages = new Map(
    desk.facts.passages.map((passage) => [passage.name, { passage, places: new WeakMap() }]),
  );
  const schema = schemaOf(desk.facts.records);
  const { compiled, problems } = compileTemplate(reading.value, { schema, passages });
  if (!compiled) throw new Error(problems.map(inWords).join('\n'));
  return fillTemplate(compiled, desk.situation({ kind, key })!).text;
}

const examples = examplesOf(manual);

it('the manual has examples, and each block of a template its result', () => {
  expect(examples.length).toBeGreaterThan(60);
  const blocks = manual.match(/```markdown from/g)!.length;
  expect(examples.filter(({ template }) => manual.includes(`\n${template}\`\`\``))).toHaveLength(blocks);
});

it.each(examples)('docs/templates.md:$line', (example) => expect(fill(example)).toBe(example.says));
