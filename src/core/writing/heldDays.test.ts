import { describe, expect, it } from 'vitest';
import { readMoment } from '../dates/zone';
import type { RecordsFile } from '../records/recordsFile';
import { readTemplate } from '../template/text/readTemplate';
import { heldDays } from './heldDays';
import { WritingDesk } from './writingDesk';

const records = (message: string): RecordsFile => ({
  business: { name: 'Larkfield Piano Care', time_zone: 'Europe/London', booking_label: 'visit' },
  members: [{ key: 'imke', given_name: 'Imke', email: 'imke@larkfield.example' }],
  clients: [],
  enquiries: [
    {
      key: 'e1',
      name: 'Sven Lindgren',
      email: 'sven@lindgren.example',
      status: 'waiting',
      message,
      wanted_on: [],
    },
  ],
});

/** What is held by a letter of Wednesday, 25 November 2026. */
function held(
  body: string,
  { days = ['2026-12-09', '2026-12-07'], message = 'Any day.', language = '' } = {},
) {
  const head = `name: T\ngroup: G\nstarts from: enquiry\nsubject: S\nsignature: none${language ? `\nlanguage: ${language}` : ''}`;
  const { value } = readTemplate(`---\n${head}\n---\n${body}`, 't.md');
  const desk = new WritingDesk({
    records: records(message),
    now: readMoment('2026-11-25T09:00:00Z')!,
    templates: [{ ...value!, key: 't', version: 1 }],
    passages: [],
    signatures: [],
    member: 'imke',
  });
  const [First = '', Second = ''] = days;
  const filled = desk.fill({ kind: 'enquiry', key: 'e1' }, { template: 't', answers: { First, Second } })!;
  return heldDays(filled.document, filled);
}

const TWO = '- {{? First : date | long date}}\n- {{? Second : date | long date}}\n\n';
const DAYS = ['2026-12-07', '2026-12-09'];

describe('the days that a letter offers', () => {
  it.each([
    ['I keep both until {{today | plus 3 working days | weekday}}; after that, first come.', '2026-11-30'],
    ['I keep both until {{today | plus 3 working days | long date}}.', '2026-11-30'],
    ['Please answer by 1 December.', '2026-12-01'],
    ['Write before Friday, or by the 2nd of December.', '2026-12-02'],
    ['I keep them until the end of Thursday.', '2026-11-26'],
    // The same weekday is the next one.
    ['I keep them until Wednesday.', '2026-12-02'],
  ])('are held until the day that it names: %s', (words, until) =>
    expect(held(TWO + words)).toEqual({ days: DAYS, until }),
  );

  it.each([
    ['Ich halte beide Tage bis Montag frei.', 'de', '2026-11-30'],
    ['Ich halte sie bis zum 1. Dezember frei.', 'de', '2026-12-01'],
    ['Je les garde jusqu’au 30 novembre.', 'fr', '2026-11-30'],
    ['Dites-le-moi avant vendredi.', 'fr', '2026-11-27'],
  ])('%s', (words, language, until) =>
    expect(held(TWO + words, { language })).toEqual({ days: DAYS, until }),
  );

  it.each([
    ['I look forward to hearing from you.'],
    ['I am away on Monday.'],
    // After the first of them nothing is left to be held.
    ['I keep both until 8 December.'],
    ['Until soon!'],
  ])('are not held where it names none: %s', (words) => expect(held(TWO + words)).toEqual({ days: DAYS }));

  it('are not held by what the client wrote', () =>
    expect(held(`${TWO}> {{enquiry.message}}`, { message: 'Please come before Friday.' })).toEqual({
      days: DAYS,
    }));

  it('are none where no blank is answered, or a day has passed', () => {
    expect(held(`${TWO}Until Monday.`, { days: [] })).toBeUndefined();
    expect(held(`${TWO}Until Monday.`, { days: ['2026-11-20', '2026-11-25'] })).toBeUndefined();
  });
});
