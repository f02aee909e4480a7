import { describe, expect, it } from 'vitest';
import { RecordBook } from '../records/recordBook';
import type { RecordsFile } from '../records/recordsFile';
import { situationFrom } from '../records/which/situation';
import { blankLetterKey } from '../template/blankLetter';
import { proofLetter } from './proofLetter';
import { answering, quotedBelow, replySubject } from './reply';
import { WritingDesk } from './writingDesk';

const RECORDS: RecordsFile = {
  business: { name: 'Larkfield Piano Care', time_zone: 'Europe/London' },
  members: [{ key: 'imke', given_name: 'Imke', email: 'imke@larkfield.example' }],
  clients: [
    {
      key: 'college',
      name: 'Thornholt College',
      email: 'office@college.example',
      contacts: [{ key: 'hale', given_name: 'Hale', email: 'Hale@college.example' }],
    },
  ],
};
const START = { kind: 'client', key: 'college' } as const;
const NOW = Date.parse('2026-11-25T09:00:00Z');

describe('a letter that answers', () => {
  it.each([
    ['Invoice LPC-1059', 'Re: Invoice LPC-1059'],
    ['Re: Invoice LPC-1059', 'Re: Invoice LPC-1059'],
    ['AW: Re[2]: RE: Termin', 'Re: Termin'],
    ['Reeds for the organ', 'Re: Reeds for the organ'],
    ['', 'Re:'],
  ])('stands under the subject “%s” as “%s”', (subject, under) => {
    expect(replySubject(subject)).toBe(under);
  });

  it('is filled under that subject, stays so with another template, and asks for no other', () => {
    const desk = new WritingDesk({
      records: RECORDS,
      now: NOW,
      templates: [],
      passages: [],
      signatures: [],
      member: 'imke',
    });
    const reply = { to: 'x', subject: 'Re: The tank' };
    const filled = desk.fill(START, {
      template: blankLetterKey('client', undefined, 'en-GB'),
      answers: {},
      reply,
    })!;
    const { subject, marks } = proofLetter(filled.document, filled);
    expect(subject).toBe('Re: The tank');
    expect(marks.map(({ message }) => message).filter((words) => /subject/i.test(words))).toEqual([]);
  });

  it('goes to who wrote, where they are in the records', () => {
    const book = new RecordBook(RECORDS, NOW);
    const situation = situationFrom(book, START, { sender: RECORDS.members![0]! })!;
    const to = (address: string) =>
      answering({ id: 'x', subject: '', from: { name: '', address }, line: '', words: '' }, situation)
        .recipients;
    expect(['hale@COLLEGE.example', 'office@college.example', 'other@college.example', ''].map(to)).toEqual([
      ['contact:hale'],
      ['client:college'],
      undefined,
      undefined,
    ]);
  });

  it('has no more of their words below than anybody reads', () => {
    expect(quotedBelow({ line: 'Oda wrote:', words: ' Thanks. \n' })).toBe('Oda wrote:\n\nThanks.');
    expect(quotedBelow({ line: 'Oda wrote:', words: 'x'.repeat(100_000) }).length).toBeLessThan(21_000);
  });
});
