import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import { RecordBook } from '../records/recordBook';
import type { RecordsFile } from '../records/recordsFile';
import { schemaOf } from '../records/schema';
import { situationFrom } from '../records/which/situation';
import { readTemplate } from '../template/text/readTemplate';
import { compileTemplate, type CompiledTemplate } from './compileTemplate';
import type { Filled } from './filled';
import { fillTemplate } from './fillTemplate';
import { SAMPLE } from './test/fillSample';
import { bodies } from './test/generatedTemplates';

const RECORDS: RecordsFile = {
  ...SAMPLE,
  business: { ...SAMPLE.business, name: 'Lark & Field', address: { street: ['6 Quay Lane\r\nGate 2'] } },
  members: [
    ...SAMPLE.members!,
    { key: 'jory', given_name: 'Jory', family_name: 'Aldous', title: 'Tuner <junior>' },
  ],
  projects: [{ key: 'p1', client: 'c1', title: 'restoration', responsible: 'jory' }],
};

const bookOf = (records: RecordsFile) => new RecordBook(records, readMoment('2026-03-02T09:00:00Z')!);

function compile(body: string): CompiledTemplate {
  const source = `---\nname: T\ngroup: G\nstarts from: invoice\nsubject: '{{sender.full_name}}'\n---\n${body}`;
  return compileTemplate(readTemplate(source, 't.md').value!, {
    schema: schemaOf(RECORDS),
    passages: new Map(),
  }).compiled!;
}

function fill(template: CompiledTemplate, book: RecordBook, sender: string, key = 'K-101'): Filled {
  const wishes = { sender: book.members.get(sender)! };
  return fillTemplate(template, situationFrom(book, { kind: 'invoice', key }, wishes)!);
}

describe('what a letter says of the business', () => {
  it('is that of its own sender, whoever wrote the letter before', () => {
    const template = compile('{{sender.full_name}}, {{sender.title}}, {{sender.mobile | or "no mobile"}}');
    const book = bookOf(RECORDS);
    const jorys = 'Jory Aldous, Tuner <junior>, no mobile';
    const imkes = 'Imke Sandoval, [sender title], 07700 900144';
    for (const [sender, words] of [
      ['jory', jorys],
      ['jory', jorys],
      ['imke', imkes],
      ['imke', imkes],
      ['jory', jorys],
    ] as const) {
      const { text, subject, holes } = fill(template, book, sender);
      expect([text.trim(), subject]).toEqual([words, words.slice(0, words.indexOf(','))]);
      expect(holes.map(({ path }) => path)).toEqual(sender === 'imke' ? ['sender.title'] : []);
    }
  });

  it('is escaped, and its lines end with a line feed, each time', () => {
    const template = compile('{{business.name}}: {{business.address.street}}');
    const book = bookOf(RECORDS);
    for (const key of ['K-101', 'K-102', 'K-101']) {
      const { text, html, notes } = fill(template, book, 'imke', key);
      expect(text.trim()).toBe('Lark & Field: 6 Quay Lane\nGate 2');
      expect(html).toContain('Lark &amp; Field: 6 Quay Lane<br>Gate 2');
      expect(notes.map(({ value, reason }) => [value, reason])).toContainEqual([
        'Lark & Field',
        'the business’s own details',
      ]);
    }
  });

  it('is what the records say now, once they are others', () => {
    const template = compile('{{business.name}}');
    const texts = ['Lark & Field', 'Lark & Daughter'].map((name) => {
      const records = { ...RECORDS, business: { ...RECORDS.business, name } };
      return fill(template, bookOf(records), 'imke').text.trim();
    });
    expect(texts).toEqual(['Lark & Field', 'Lark & Daughter']);
  });

  it('is found in lists and on the way over other records', () => {
    const template = compile(
      '{{#client.invoices}}\n{{number}} {{project.responsible.full_name | or "nobody"}}\n{{/client.invoices}}',
    );
    const book = bookOf(RECORDS);
    for (const key of ['K-101', 'K-102'])
      expect(fill(template, book, 'imke', key).text.trim()).toBe('K-101 Jory Aldous\n\nK-102 nobody');
  });

  it('does not depend on the letters filled before, in any template', () => {
    fc.assert(
      fc.property(bodies('invoice'), (body) => {
        const template = compile(body);
        const book = bookOf(RECORDS);
        for (const [sender, key] of [
          ['jory', 'K-101'],
          ['imke', 'K-102'],
          ['imke', 'K-101'],
          ['jory', 'K-101'],
        ] as const)
          expect(fill(template, book, sender, key)).toEqual(
            fill(compile(body), bookOf(RECORDS), sender, key),
          );
      }),
      { numRuns: 60 },
    );
  });
});
