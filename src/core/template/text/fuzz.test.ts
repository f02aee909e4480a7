import { expect, it } from 'vitest';
import { RecordBook } from '../../records/recordBook';
import { schemaOf } from '../../records/schema';
import { situationFrom } from '../../records/which/situation';
import { readMoment } from '../../dates/zone';
import { compileTemplate } from '../../fill/compileTemplate';
import { fillTemplate } from '../../fill/fillTemplate';
import { SAMPLE } from '../../fill/test/fillSample';
import { seeded } from '../../test/seeded';
import { printTemplate } from './printTemplate';
import { readTemplate } from './readTemplate';

/** 100,000 in all, in parts, so that a slow machine has time for each. */
const SEEDS = [20_261_125, 20_261_126, 20_261_127, 20_261_128];
const TEXTS = 25_000;

/** Pieces that a template is made of, and such as are nearly one. */
const PIECES = [
  ...' \n\n\n*_[](){}<>#|`~!&:\\-+1aé🙂.,;="\'/^?%\t\r\0',
  ...[
    '**',
    '{{',
    '}}',
    '{{{',
    '\\{{',
    '---\n',
    '- ',
    '1. ',
    '> ',
    '# ',
    '::: {.center}\n',
    ':::\n',
    '```\n',
    '| a | b |\n|--|--:|\n',
  ],
  ...[
    '{{client.name}}',
    '{{invoice.total | whole money}}',
    '{{today | plus 3 working days | long date}}',
    '{{.}}',
    '{{x',
  ],
  ...[
    '{{#client.invoices}}',
    '{{/client.invoices}}',
    '{{#client}}',
    '{{/client}}',
    '{{^client.phone}}',
    '{{/client.phone}}',
    '{{#invoice.lines}}\n',
    '{{/invoice.lines}}\n',
    '- {{description}}\n',
    '| {{description}} | {{amount}} |\n',
  ],
  ...[
    '{{#when invoice.total over 10}}',
    '{{#when client.tags contains "a" and today before ? "B"}}\n',
    '{{otherwise}}',
    '{{/when}}',
  ],
  ...[
    '{{> P}}',
    '{{> Nowhere}}',
    '{{! c }}',
    '{{gap "a \\" b"}}',
    '{{unfinished "x"}}',
    '{{signature}}',
    '{{? B : date = 2026-03-03}}',
    '{{? B}}',
    '{{? C : choice of "a" "b"}}',
  ],
  ...[
    '{{client.invoices | where balance over £1 and is_overdue is no | by due_on down | first 2 | joined or | or "none"}}',
  ],
  ...[
    '[words]{.large .madder}',
    '[a](https://x.example/{{client.name}}){.button}',
    '![a](b.png){width=20}',
    '<script>',
    'javascript:alert(1)',
    '{{constructor}}',
    '{{client.__proto__.name}}',
  ],
];
const HEADS = [
  'name: T\ngroup: G\nstarts from: invoice\nsubject: x\n',
  "subject: '{{invoice.number}}'\nstarts from: invoice\nname: T\ngroup: G\n",
  'name: T\n',
  '',
  'a: [\n',
  'starts from: nowhere\nname: T\ngroup: G\nsubject: {{x}}\n',
];

it.each(SEEDS)(
  `${TEXTS.toLocaleString('en-GB')} random texts are read or refused, and those that read are filled and print themselves (seed %i)`,
  { timeout: 240_000 },
  (seed) => {
    const random = seeded(seed);
    const one = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]!;
    const book = new RecordBook(SAMPLE, readMoment('2026-03-02T09:00:00Z')!);
    const situation = situationFrom(
      book,
      { kind: 'invoice', key: 'K-101' },
      { sender: SAMPLE.members![0]! },
    )!;
    const passage = {
      passage: { key: 'P', name: 'P', document: { type: 'doc' as const, content: [] } },
      places: new WeakMap(),
    };
    const context = { schema: schemaOf(SAMPLE), passages: new Map([['P', passage]]) };
    const counts = { refused: 0, misjudged: 0, filled: 0 };
    let slowest = { ms: 0, text: '' };
    for (let i = 0; i < TEXTS; i++) {
      const head = random() < 0.7 ? HEADS[0]! : one(HEADS);
      let body = '';
      for (let length = Math.floor(random() * 10); length > 0; length--) body += one(PIECES);
      const text = random() < 0.02 ? body : `---\n${head}---\n${body}`;
      const began = performance.now();
      try {
        const { value, problems } = readTemplate(text, 't.md');
        if (!value) {
          expect(problems.length).toBeGreaterThan(0);
          counts.refused++;
        } else {
          // Reading again takes as long as all the rest: every fifth is printed.
          if (i % 5 === 0) {
            const printed = printTemplate(value);
            expect(printTemplate(readTemplate(printed, 't.md').value!)).toBe(printed);
          }
          const { compiled } = compileTemplate(value, context);
          if (compiled) {
            const { subject, html } = fillTemplate(compiled, situation);
            expect(
              /[\r\n]/.test(subject) ||
                /<script|<[a-z]+ [^>]*on\w+=|href="(?!https?:|mailto:|tel:)/i.test(html),
            ).toBe(false);
            counts.filled++;
          } else counts.misjudged++;
        }
      } catch (error) {
        throw new Error(`${JSON.stringify(text)}\n${(error as Error).stack}`, { cause: error });
      }
      const ms = performance.now() - began;
      if (ms > slowest.ms) slowest = { ms, text };
    }
    // The pieces are such that each way is gone often.
    for (const count of Object.values(counts)) expect(count).toBeGreaterThan(TEXTS / 50);
    expect(slowest.ms, JSON.stringify(slowest.text)).toBeLessThan(10_000);
  },
);
