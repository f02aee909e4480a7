import path from 'node:path';
import { expect, it } from 'vitest';
import { letterText } from '../../../src/core/recognise/letterText';
import { fieldOf, placeFields } from '../../../src/core/recognise/placeFields';
import { recognise } from '../../../src/core/recognise/recognise';
import { typedFacts } from '../../../src/core/recognise/typedFacts';
import { startsIn } from '../../../src/core/records/startsIn';
import type { Template } from '../../../src/core/template/template';
import { printMarkdown } from '../../../src/core/template/text/printMarkdown';
import { readTemplate } from '../../../src/core/template/text/readTemplate';
import { demonstrationDesk } from '../../../src/server/writing/demonstrationDesk';

const desk = await demonstrationDesk(
  path.resolve(import.meta.dirname, '../../../src/data/demonstration'),
  Date.parse('2026-11-25T09:00:00Z'),
);

/** What of a template’s words is one client’s alone, where it is seen for a record. */
function typed({ head, document }: Pick<Template, 'head' | 'document'>, key: string) {
  const situation = desk.situation({ kind: head.startsFrom, key })!;
  const text = letterText(head.subject, document);
  const { finds } = recognise(text, situation, desk.context);
  return { text, finds: typedFacts(finds, head.startsFrom, desk.context) };
}

it('nothing that a template of the demonstration says by itself is taken for one client’s', () => {
  const said: string[] = [];
  let looked = 0;
  for (const template of desk.facts.templates) {
    if (!('document' in template)) continue;
    for (const key of startsIn(desk.book, template.head.startsFrom)) {
      looked++;
      for (const { path: fact, words } of typed(template, key).finds)
        said.push(`${template.head.name}, ${key}: “${words}” as ${fact}`);
    }
  }
  expect(looked).toBeGreaterThan(500);
  expect(said).toEqual([]);
});

it('names, days, addresses and numbers are, wherever they stand; what many say is not', () => {
  const words = [
    'Dear Oda,',
    'your tuning visit is on Thursday, 26 November 2026; tell us at 01632 960144.',
    '{{#when client.is_company}}\n\nMs Hartigan, of course\n\n{{otherwise}}\n\n- for Oda\n\n{{/when}}',
  ].join('\n\n');
  const source = `---\nname: T\ngroup: none\nstarts from: booking\nsubject: A word for Oda Hartigan\n---\n${words}\n`;
  const { text, finds } = typed(readTemplate(source, 't').value!, 'b-hartigan');
  expect(finds.map((find) => find.words)).toEqual([
    'Oda Hartigan',
    'Oda',
    'Thursday, 26 November 2026',
    'Hartigan',
    'Oda',
  ]);
  const { document } = placeFields(text, finds.map(fieldOf));
  const printed = printMarkdown(document);
  expect(printed).not.toMatch(/Oda|Hartigan|November/);
  expect(printed).toContain('{{#when client.is_company}}');
});
