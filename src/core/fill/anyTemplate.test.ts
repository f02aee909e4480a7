import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import { RecordBook } from '../records/recordBook';
import type { RecordsFile } from '../records/recordsFile';
import type { StartingKind } from '../records/recordKind';
import { schemaOf } from '../records/schema';
import { situationFrom } from '../records/which/situation';
import { inWords } from '../problems/problem';
import { readTemplate } from '../template/text/readTemplate';
import { compileTemplate, type CompiledTemplate } from './compileTemplate';
import { fillTemplate } from './fillTemplate';
import { SAMPLE } from './test/fillSample';
import { bodies } from './test/generatedTemplates';

const STARTS: Readonly<Record<StartingKind, string>> = {
  client: 'c1',
  project: 'p1',
  booking: 'b1',
  invoice: 'K-101',
  enquiry: 'e1',
};

function compile(body: string, start: StartingKind): CompiledTemplate {
  const source = `---\nname: T\ngroup: G\nstarts from: ${start}\nsubject: '{{business.name}}'\n---\n${body}`;
  const { value, problems } = readTemplate(source, 't.md');
  if (!value) throw new Error(`${problems.map(inWords).join('\n')}\n${body}`);
  const judged = compileTemplate(value, { schema: schemaOf(SAMPLE), passages: new Map() });
  if (!judged.compiled) throw new Error(`${judged.problems.map(inWords).join('\n')}\n${body}`);
  return judged.compiled;
}

function fill(
  compiled: CompiledTemplate,
  records: RecordsFile,
  start: StartingKind,
  now = '2026-03-02T09:00:00Z',
) {
  const book = new RecordBook(records, readMoment(now)!);
  const situation = situationFrom(
    book,
    { kind: start, key: STARTS[start] },
    { sender: records.members?.[0] ?? { key: '' } },
  )!;
  return fillTemplate(compiled, situation);
}

/** Throws when an element is not closed in its place, or an attribute is none of a letter's. */
function outline(html: string): string {
  const open: string[] = [];
  let seen = '';
  const rest = html.replace(
    /<(\/?)([a-z0-9]+)((?: [a-z]+="[^"<>]*")*)>/g,
    (_, end: string, name: string, attributes: string) => {
      seen += `<${end}${name}${attributes.replace(/="[^"]*"/g, '')}>`;
      if (name === 'br' || name === 'img' || name === 'hr') return '';
      if (!end) open.push(name);
      else expect(open.pop()).toBe(name);
      return '';
    },
  );
  expect(open).toEqual([]);
  expect(/[<>]/.test(rest), rest).toBe(false);
  return seen;
}

/** The same records with some of their facts gone. */
function lacking(records: RecordsFile, gone: (path: string) => boolean): RecordsFile {
  const without = (value: unknown, path: string): unknown => {
    if (Array.isArray(value)) return value.map((one, i) => without(one, `${path}.${i}`));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(
      Object.entries(value)
        .filter(([key]) => KEPT.has(key) || !gone(`${path}.${key}`))
        .map(([key, one]) => [key, without(one, `${path}.${key}`)]),
    );
  };
  return without(records, '') as RecordsFile;
}

/** What ties records together is not a fact that a person leaves out. */
const KEPT = new Set([
  'key',
  'client',
  'project',
  'business',
  'members',
  'clients',
  'enquiries',
  'projects',
  'bookings',
  'invoices',
  'partners',
]);

describe('any template that reads', () => {
  it.each(Object.keys(STARTS) as StartingKind[])(
    'from %s is filled, whatever the records lack, and each hole says what is missing',
    (start) => {
      fc.assert(
        fc.property(bodies(start), fc.infiniteStream(fc.boolean()), (body, toss) => {
          const compiled = compile(body, start);
          const records = lacking(SAMPLE, () => toss.next().value!);
          for (const given of [SAMPLE, records]) {
            const { subject, text, html, holes, notes } = fill(compiled, given, start);
            outline(html);
            expect(/[\r\n]/.test(subject)).toBe(false);
            for (const hole of holes) {
              expect(hole.label && hole.reason && hole.line).toBeTruthy();
              if (hole.kind === 'field' || hole.kind === 'blank')
                expect(text + subject).toContain(`[${hole.label}]`);
            }
            for (const note of notes)
              expect(note.label && note.reason && typeof note.value === 'string').toBeTruthy();
            expect(new Set(notes.map(({ id }) => id)).size).toBe(notes.length);
          }
        }),
        { numRuns: 120 },
      );
    },
  );

  it.each(['en-GB', 'en-US', 'de-DE', 'fr-FR', 'ar-EG', 'ja-JP'])('is filled in %s', (locale) => {
    const records = { ...SAMPLE, business: { ...SAMPLE.business, locale } };
    fc.assert(
      fc.property(
        bodies('invoice'),
        (body) => void outline(fill(compile(body, 'invoice'), records, 'invoice').html),
      ),
      { numRuns: 40 },
    );
  });

  it('is filled on any day of any year', () => {
    const compiled = compile(
      '{{today | long date}} {{today | plus 7 months | from now}} {{booking.starts_at | from now}} {{invoice.days_overdue}} {{now | time}}',
      'invoice',
    );
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1900-01-01'), max: new Date('2199-12-31'), noInvalidDate: true }),
        (date) => {
          const { holes } = fill(compiled, SAMPLE, 'invoice', date.toISOString());
          expect(holes).toEqual([]);
        },
      ),
    );
  });
});

describe('no value', () => {
  /** Every text of the records replaced. */
  const saying = (records: RecordsFile, words: string): RecordsFile => {
    const replaced = (value: unknown, key: string): unknown => {
      if (Array.isArray(value)) return value.map((one) => replaced(one, key));
      if (typeof value === 'object' && value !== null) {
        return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, replaced(one, name)]));
      }
      const free = [
        'name',
        'notes',
        'title',
        'description',
        'service',
        'message',
        'town',
        'street',
        'maker',
        'full_name',
        'signature',
        'phone',
        'number',
      ];
      return typeof value === 'string' && free.includes(key) ? words : value;
    };
    const said = replaced(records, '') as RecordsFile;
    // In parts as well: into how many a name falls depends on what it says.
    const named = { given_name: words, family_name: words, honorific: words };
    const clients = said.clients!.map((client) => ({ ...client, ...named }));
    return { ...said, clients, members: said.members!.map((member) => ({ ...member, ...named })) };
  };

  const NASTY = fc.oneof(
    fc
      .string({
        unit: fc.constantFrom(...'<>"\'&{}[]()*_`|#-=/\\:;!?%\n\r\t aé\u2028'),
        minLength: 1,
        maxLength: 30,
      })
      // With a letter in it: of words without one there are no initials, and of space no name.
      .map((words) => `x${words}`),
    fc.constantFrom(
      '<script>alert(1)</script>',
      '"><img src=x onerror=alert(1)>',
      '{{client.email}}',
      '{{#client}}x{{/client}}',
      '{{{x}}}',
      '](https://evil.example)',
      'javascript:alert(1)',
      '| a | b |\n|---|---|',
      '- item\n- item',
      '&lt;b&gt;',
      '\r\nBcc: thief@x.example',
      '<!--x',
      'x${7*7}',
      '::: {.center}\nx',
    ),
  );

  it('adds an element, an attribute, a header or a tag, whatever it says', () => {
    fc.assert(
      fc.property(bodies('invoice'), NASTY, (body, words) => {
        const compiled = compile(body, 'invoice');
        const { html, subject, holes } = fill(compiled, saying(SAMPLE, words), 'invoice');
        const plain = fill(compiled, saying(SAMPLE, 'plain'), 'invoice');
        const breaks = (seen: string) => seen.replaceAll('<br>', '');
        expect(breaks(outline(html))).toBe(breaks(outline(plain.html)));
        expect(/[\p{Cc}\u2028\u2029]/u.test(subject)).toBe(false);
        expect(holes.length).toBe(plain.holes.length);
        for (const [, address] of html.matchAll(/(?:href|src)="([^"]*)"/g)) {
          expect(address).toMatch(/^(?:https?:\/\/|mailto:|tel:|lark\.png)/);
        }
      }),
      { numRuns: 400 },
    );
  });
});
