import { describe, expect, it } from 'vitest';
import { isoOf, readDay } from './civil';
import { readTypedDay } from './readTypedDay';

/** A Wednesday. */
const TODAY = readDay('2026-11-25')!;

function read(text: string, locale = 'en-GB'): string | undefined {
  const day = readTypedDay(text, { locale, today: TODAY });
  return day === undefined ? undefined : isoOf(day);
}

describe('a day typed in a hurry', () => {
  it.each([
    ['2026-12-09', '2026-12-09'],
    ['2026-12-9', '2026-12-09'],
    ['2026/12/09', '2026-12-09'],
    ['9 December 2026', '2026-12-09'],
    ['9 Dec', '2026-12-09'],
    ['Dec 9', '2026-12-09'],
    ['  9TH of december ', '2026-12-09'],
    ['the 9th of Dec.', '2026-12-09'],
    ['9/12', '2026-12-09'],
    ['9.12.', '2026-12-09'],
    ['09-12-26', '2026-12-09'],
    ['9.12.2026', '2026-12-09'],
    ['Wednesday, 9 December 2026', '2026-12-09'],
    ['Wed 9 Dec', '2026-12-09'],
    ['wed 9/12', '2026-12-09'],
    ['9 Sept', '2027-09-09'],
    ['9 octob', '2027-10-09'],
    ['today', '2026-11-25'],
    ['Tomorrow', '2026-11-26'],
    ['yesterday', '2026-11-24'],
    ['Friday', '2026-11-27'],
    ['fri', '2026-11-27'],
    ['thurs', '2026-11-26'],
    ['29 February', '2028-02-29'],
  ])('%s', (text, iso) => expect(read(text)).toBe(iso));

  it('a weekday is the next one, not today', () => expect(read('Wednesday')).toBe('2026-12-02'));

  it('without a year is the next one, or has just passed', () => {
    expect(read('5 January')).toBe('2027-01-05');
    expect(read('20 November')).toBe('2026-11-20');
    expect(read('26 October')).toBe('2026-10-26');
    expect(read('25 October')).toBe('2027-10-25');
  });

  it.each([
    ['de-DE', '9.12.', '2026-12-09'],
    ['de-DE', 'Mi, 9. Dezember', '2026-12-09'],
    ['de-DE', 'Mittwoch, den 9. Dez.', '2026-12-09'],
    ['de-DE', 'morgen', '2026-11-26'],
    ['de-DE', 'übermorgen', '2026-11-27'],
    ['de-DE', 'Di', '2026-12-01'],
    ['fr-FR', 'mercredi 9 décembre', '2026-12-09'],
    ['fr-FR', '1er décembre', '2026-12-01'],
    ['fr-FR', 'mar. 8 déc.', '2026-12-08'],
    ['fr-FR', '3 mars', '2027-03-03'],
    ['en-US', '12/9', '2026-12-09'],
    ['en-US', '12/9/26', '2026-12-09'],
    ['en-US', 'December 9, 2026', '2026-12-09'],
  ])('in %s: %s', (locale, text, iso) => expect(read(text, locale)).toBe(iso));

  it.each([
    '',
    '9',
    'December',
    '31 November',
    '30 February 2027',
    '13/13',
    '0/12',
    '9/12/6',
    'Tuesday 9 December 2026',
    '9 Ju',
    '9 Dec 2026 at noon',
    '9 10 11 12',
    '2026',
    'soon',
    '-5/12/2026/1',
    `9 Dec${' '.repeat(100)}x`,
    '9 Dec '.repeat(5_000),
  ])('is none: %s', (text) => expect(read(text)).toBeUndefined());
});
