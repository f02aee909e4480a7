import { describe, expect, it } from 'vitest';
import { SAMPLE } from '../../fill/test/fillSample';
import { proofOf, type Given } from '../test/proofOf';

const OFFER = 'Would {{? Day : date | long date}} suit you?';
const ENQUIRY = {
  key: 'e9',
  name: 'Sven Lindgren',
  email: 'sven@lindgren.example',
  status: 'waiting',
  message: 'Any day before 12 March.',
  wanted_on: ['2026-03-10'],
};

/** What the proof says of the days of a letter that answers an enquiry. Monday 9 and Tuesday 17 March are taken. */
function marks(body: string, given: Given = {}) {
  const all = proofOf(body, {
    from: 'enquiry:e9',
    records: { enquiries: [...(SAMPLE.enquiries ?? []), ENQUIRY] },
    taken: [
      { day: '2026-03-09', words: 'Monday 9 March: 2 visits' },
      { day: '2026-03-10', words: 'Tuesday 10 March: held' },
      { day: '2026-03-17', words: 'Tuesday 17 March: a day off' },
    ],
    ...given,
  });
  return all.filter(({ id }) => id.startsWith('taken '));
}

const answered = (day: string): Given => ({ choices: { answers: { Day: day } } });

describe('a day that is offered', () => {
  it('and taken is asked about at its place', () => {
    expect(marks(OFFER, answered('2026-03-09'))).toEqual([
      {
        kind: 'query',
        id: 'taken 2026-03-09',
        message: 'The letter offers a day that is not free. Monday 9 March: 2 visits.',
        at: { line: 1, from: 6, to: 26 },
      },
    ]);
  });

  it('and free is not', () => expect(marks(OFFER, answered('2026-03-11'))).toEqual([]));

  it('by hand is one, too', () => {
    const typed = { typed: [['one day', 'Tuesday 17 March']] } as const;
    expect(marks('I could come on one day.', typed).map(({ id }) => id)).toEqual(['taken 2026-03-17']);
  });

  it.each([
    ['was asked for', 'I am sorry, nothing on 10 March.'],
    ['ends something', 'Please tell me before 9 March.'],
    ['ends something, by its weekday', 'I keep it until Monday, 9 March.'],
    ['is past', 'You wrote on 1 March.'],
  ])('by hand, which %s: none', (_, body) => expect(marks(body)).toEqual([]));

  it('is said once, however often it stands there', () =>
    expect(marks(`${OFFER}\n\n${OFFER}`, answered('2026-03-09'))).toHaveLength(1));

  it('in a letter from elsewhere is none of its kind', () =>
    expect(marks(OFFER, { ...answered('2026-03-09'), from: 'invoice:K-101' })).toEqual([]));

  it('that was let stand is not said again', () =>
    expect(
      marks(OFFER, { choices: { answers: { Day: '2026-03-09' }, stets: ['taken 2026-03-09'] } }),
    ).toEqual([]));
});
