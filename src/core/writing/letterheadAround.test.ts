import { describe, expect, it } from 'vitest';
import { SAMPLE } from '../fill/test/fillSample';
import { readPassage, readTemplate } from '../template/text/readTemplate';
import { proofLetter } from './proofLetter';
import { WritingDesk } from './writingDesk';

const words = (text: string) => readPassage(text, 'letterhead', 'letterhead').value!.document;

function letterOf(letterhead: { top?: string; foot?: string }, head = '') {
  const source = `---\nname: T\ngroup: G\nstarts from: client\nsubject: S\n${head}---\nHello.\n\n{{signature}}\n`;
  const desk = new WritingDesk({
    records: SAMPLE,
    now: Date.parse('2026-03-02T09:00:00Z'),
    templates: [{ ...readTemplate(source, 't').value!, key: 't', version: 1 }],
    passages: [],
    signatures: [],
    letterhead: {
      ...(letterhead.top === undefined ? {} : { top: words(letterhead.top) }),
      ...(letterhead.foot === undefined ? {} : { foot: words(letterhead.foot) }),
    },
    member: 'imke',
  });
  const filled = desk.fill({ kind: 'client', key: 'c1' }, { template: 't', answers: {} })!;
  return proofLetter(filled.document, filled);
}

describe('a letterhead', () => {
  it('stands above and below a letter, filled, in its text and its HTML; what is signed is still told', () => {
    const { text, html, signatureAt, marks } = letterOf({
      top: '**{{business.name}}**',
      foot: 'Small print',
    });
    expect(text).toBe(
      'Larkfield Piano Care\n\nHello.\n\nImke Sandoval\nLarkfield Piano Care\n07700 900144\nimke@larkfield.example\n\nSmall print\n',
    );
    expect(text.slice(signatureAt)).toMatch(/^Imke Sandoval\n/);
    expect(html).toMatch(/^<p[^>]*><strong>Larkfield Piano Care<\/strong><\/p>.*Hello.*Small print<\/p>$/s);
    expect(marks).toEqual([]);
  });

  it('is nothing without words, and where the template wants none', () => {
    const plain = letterOf({}).html;
    expect(letterOf({ top: '', foot: '' }).html).toBe(plain);
    expect(letterOf({ top: 'Top', foot: 'Foot' }, 'letterhead: none\n').html).toBe(plain);
  });

  it('with a hole stops the letter, and says where it is', () => {
    expect(
      letterOf({ foot: '{{business.legal_name}}' }).marks.map(({ kind, message }) => [kind, message]),
    ).toEqual([['stop', 'In the letterhead: The business has no legal name.']]);
  });
});
