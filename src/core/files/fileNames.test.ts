import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sizeInWords } from '../describe/sizeInWords';
import type { TemplateHead } from '../template/template';
import { readTemplate } from '../template/text/readTemplate';
import { printTemplate } from '../template/text/printTemplate';
import { besideAnother, endingOf, fileName } from './fileNames';

describe('the name of a file', () => {
  it.each([
    ['C:\\Users\\imke\\Price list.pdf', 'Price list.pdf'],
    ['../../etc/passwd', 'passwd'],
    ['  Price \t list .pdf ', 'Price list .pdf'],
    ['.hidden', 'hidden'],
    ['ends with dots...', 'ends with dots'],
    // What would show "exe" as "fdp" is not kept.
    ['price\u202efdp.exe', 'pricefdp.exe'],
    ['Grüße\u0000.pdf', 'Grüße.pdf'],
    ['Gru\u0308n.pdf', 'Grün.pdf'],
    ['\u200b/', ''],
    ['Invoice PDF', 'Invoice PDF (file)'],
  ])('%j is kept as %j', (given, kept) => expect(fileName(given)).toBe(kept));

  it('keeps its ending when it is too long', () => {
    const long = fileName(`${'🎹 long name '.repeat(20)}.pdf`);
    expect(long).toMatch(/^🎹 long name .*[^ ]\.pdf$/u);
    expect(long.length).toBeLessThanOrEqual(100);
    expect(() => encodeURIComponent(long)).not.toThrow();
  });

  it('is the same when it is kept again, and a template can name it', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 160 }), (given) => {
        const name = fileName(given);
        expect(fileName(name)).toBe(name);
        if (!name) return;
        const head: TemplateHead = {
          name: 'T',
          group: 'G',
          startsFrom: 'client',
          subject: [{ type: 'text', text: 'S' }],
          attach: [name],
        };
        const text = printTemplate({ head, document: { type: 'doc', content: [] } });
        const { value, problems } = readTemplate(text, 't.md');
        expect(problems).toEqual([]);
        expect(value?.head.attach).toEqual([name]);
      }),
      { numRuns: 300 },
    );
  });

  it('tells its ending, and how it is called beside another', () => {
    expect([endingOf('a.PDF'), endingOf('a'), endingOf('a. b')]).toEqual(['pdf', '', '']);
    expect(besideAnother('Price list.pdf', 2)).toBe('Price list 2.pdf');
    expect(besideAnother('README', 3)).toBe('README 3');
  });
});

it('a size is said as people say it', () => {
  expect([0, 12, 85_400, 999_999, 1_000_000, 1_440_000, 15_000_000].map(sizeInWords)).toEqual([
    '1 kB',
    '1 kB',
    '85 kB',
    '1000 kB',
    '1 MB',
    '1.4 MB',
    '15 MB',
  ]);
});
