import { describe, expect, it } from 'vitest';
import { SAMPLE } from '../fill/test/fillSample';
import { schemaOf } from '../records/schema';
import { completionsIn } from './completions';
import { FieldDesk } from './fieldDesk';

const head = { name: '', group: '', startsFrom: 'invoice' as const, subject: [] };
const desk = new FieldDesk(head, { schema: schemaOf(SAMPLE), passages: new Map() }, {});
const at = (line: string) => completionsIn(line, desk, ['How to pay']);
const words = (line: string) => at(line)?.words.map(({ word }) => word) ?? [];

describe('what a tag may go on with', () => {
  it('is a path of what the template leads to, from where it begins', () => {
    expect(words('It is {{inv')).toContain('invoice.due_on');
    expect(at('It is {{inv')!.from).toBe(8);
    expect(at('It is {{#client.un')!.from).toBe(9);
    expect(words('{{#when invoice.')).toContain('invoice.balance');
    expect(words('{{')).toContain('signature');
    expect(words('{{').some((word) => word.startsWith('enquiry.'))).toBe(false);
    expect(at('{{')!.words.find(({ word }) => word === 'invoice.due_on')!.says).toBe('Invoice, due date');
  });

  it('is a step behind a bar, and a passage behind its mark', () => {
    expect(words('{{invoice.due_on | lo')).toContain('long date');
    expect(at('{{invoice.due_on | lo')!.from).toBe(19);
    expect(words('{{> How')).toEqual(['How to pay']);
  });

  it('is nothing outside of a tag', () => {
    for (const line of [
      'Hello',
      'of {{invoice.number}} and',
      '\\{{inv',
      '{{? Rate : mo',
      '{{invoice.number or',
    ]) {
      expect(at(line), line).toBeUndefined();
    }
  });
});
