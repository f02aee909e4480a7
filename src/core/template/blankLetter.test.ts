import { describe, expect, it } from 'vitest';
import { SAMPLE } from '../fill/test/fillSample';
import type { RecordsFile } from '../records/recordsFile';
import { proofLetter } from '../writing/proofLetter';
import { WritingDesk } from '../writing/writingDesk';
import { blankLetter, blankLetterKey, isBlankLetter } from './blankLetter';

function deskOf(client: object, locale?: string): WritingDesk {
  const records: RecordsFile = {
    ...SAMPLE,
    business: { ...SAMPLE.business, ...(locale ? { locale } : {}) },
    clients: [{ ...SAMPLE.clients![0]!, ...client }],
  };
  return new WritingDesk({
    records,
    now: Date.parse('2026-03-02T09:00:00Z'),
    templates: [],
    passages: [],
    signatures: [],
    member: 'imke',
  });
}

describe('a letter without a template', () => {
  it.each([
    ['invoice:K-101', {}, undefined, 'Hello Oda,'],
    ['booking:b1', { language: 'de' }, undefined, 'Guten Tag Oda,'],
    ['client:c1', { language: 'fr-FR' }, undefined, 'Bonjour Oda,'],
    ['client:c1', {}, 'de-DE', 'Guten Tag Oda,'],
    ['client:c1', { language: 'en-GB' }, 'de-DE', 'Hello Oda,'],
    // There is no greeting in it: the house's own.
    ['client:c1', { language: 'sv' }, undefined, 'Hello Oda,'],
    ['enquiry:e1', {}, undefined, 'Hello Bram,'],
  ] as const)('%s, %o, %s: %s', (from, client, locale, greeting) => {
    const desk = deskOf(client, locale);
    const [kind, key] = from.split(':') as ['client', string];
    const situation = desk.situation({ kind, key })!;
    const template = desk.blankLetter(situation);
    const filled = desk.fill({ kind, key }, { template, answers: {} })!;
    const { text, marks } = proofLetter(filled.document, filled);
    expect(text.split('\n')[0]).toBe(greeting);
    expect(text).toContain('Imke Sandoval');
    // What is missing is what it is about.
    expect(marks.filter(({ kind: one }) => one === 'stop').map(({ id }) => id)).toEqual(['subject']);
  });

  it('has a key that no template has, and none is made of another', () => {
    expect(blankLetterKey('invoice', 'de', 'en-GB')).toBe(':blank invoice de');
    expect(blankLetterKey('invoice', 'en-US', 'en-GB')).toBe(':blank invoice');
    expect(isBlankLetter(':blank invoice')).toBe(true);
    expect(isBlankLetter('first-reminder')).toBe(false);
    for (const key of [
      'first-reminder',
      ':blank',
      ':blank nothing',
      ':blank client xx',
      ':blank client constructor',
    ])
      expect(blankLetter(key, 'en-GB'), key).toBeUndefined();
  });
});
