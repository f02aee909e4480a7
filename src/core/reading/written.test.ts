import { describe, expect, it } from 'vitest';
import { readDay } from '../dates/civil';
import { namedSumsIn } from './sumsIn';
import { isDay, writtenDays } from './writtenDays';
import { writtenDurations } from './writtenDurations';
import { writtenTimes } from './writtenTimes';

const words = (text: string, { from, to }: { from: number; to: number }) => text.slice(from, to);

describe('days as they are written', () => {
  it.each([
    ['on Tue 3rd', 'en-GB', [['Tue 3rd', { weekday: 2, day: 3 }]]],
    ['by the 10th.', 'en-GB', [['the 10th', { day: 10 }]]],
    [
      '9 Dec, or 10/12',
      'en-GB',
      [
        ['9 Dec', { day: 9, month: 12 }],
        ['10/12', { day: 10, month: 12 }],
      ],
    ],
    ['3/12/26', 'en-GB', [['3/12/26', { day: 3, month: 12, year: 2026 }]]],
    ['3/12/26', 'en-US', [['3/12/26', { day: 12, month: 3, year: 2026 }]]],
    ['Monday 7th December', 'en-GB', [['Monday 7th December', { weekday: 1, day: 7, month: 12 }]]],
    ['December 7, 2026', 'en-US', [['December 7, 2026', { day: 7, month: 12, year: 2026 }]]],
    [
      'Montag, den 4. Januar 2027',
      'de',
      [['Montag, den 4. Januar 2027', { weekday: 1, day: 4, month: 1, year: 2027 }]],
    ],
    ['am 4.1.2027', 'de', [['4.1.2027', { day: 4, month: 1, year: 2027 }]]],
    ['jeudi 3 décembre', 'fr', [['jeudi 3 décembre', { weekday: 4, day: 3, month: 12 }]]],
    ['in August 2027', 'en-GB', [['August 2027', { month: 8, year: 2027 }]]],
    ['2026-12-09', 'en-GB', [['2026-12-09', { day: 9, month: 12, year: 2026 }]]],
    ['see you Thursday', 'en-GB', [['Thursday', { weekday: 4 }]]],
    ['I may come, it will be 3.50 or 12,5 or £3.12', 'en-GB', []],
  ] as const)('%s (%s)', (text, locale, found) => {
    const read = writtenDays(text, locale).map(({ from, to, ...parts }) => [
      words(text, { from, to }),
      parts,
    ]);
    expect(read).toEqual(found);
  });

  it('is the day whose parts are written', () => {
    const day = readDay('2026-12-03')!;
    expect(isDay({ from: 0, to: 0, weekday: 4, day: 3 }, day)).toBe(true);
    expect(isDay({ from: 0, to: 0, weekday: 3, day: 3 }, day)).toBe(false);
    expect(isDay({ from: 0, to: 0, day: 3, month: 12, year: 2025 }, day)).toBe(false);
  });
});

describe('times as they are written', () => {
  it.each([
    ['at 09:30', [['09:30', [570]]]],
    ['at 9.30am.', [['9.30am', [570]]]],
    ['at 4.30 p.m. or so', [['4.30 p.m.', [990]]]],
    ['half past nine', [['half past nine', [570, 1290]]]],
    ['quarter to ten', [['quarter to ten', [585, 1305]]]],
    ['half eleven', [['half eleven', [690, 1410]]]],
    ['halb elf', [['halb elf', [630, 1350]]]],
    ['um 11 Uhr', [['11', [660, 1380]]]],
    ['9 Uhr 15', [['9 Uhr 15', [555, 1275]]]],
    ['9h30', [['9h30', [570]]]],
    [
      '10-11.30',
      [
        ['10', [600, 1320]],
        ['11.30', [690]],
      ],
    ],
    ['at ten suits me', [['ten', [600, 1320]]]],
    ["one o'clock", [["one o'clock", [60, 780]]]],
    ['at noon', [['noon', [720]]]],
    ['£9.30, 1,09:30, 25:10, 3.75 and 10:99', []],
  ] as const)('%s', (text, found) => {
    expect(writtenTimes(text).map(({ minutes, ...place }) => [words(text, place), minutes])).toEqual(found);
  });
});

it.each([
  ['2 hours 30 minutes', 150],
  ['90 minutes', 90],
  ['Ninety minutes', 90],
  ['an hour and a half', 90],
  ['1.5 hours', 90],
  ['half an hour', 30],
  ['anderthalb Stunden', 90],
  ['eine Stunde', 60],
])('how long it takes: %s', (text, minutes) => {
  expect(writtenDurations(`It takes ${text}.`)).toEqual([{ from: 9, to: 9 + text.length, minutes }]);
});

it.each([
  ['78 pounds', 'GBP', 'en-GB', 7800],
  ['1,250.50 pounds', 'GBP', 'en-GB', 125_050],
  ['12,50 Euro', 'EUR', 'de', 1250],
])('sums by the name of their currency: %s', (text, currency, locale, amount) => {
  expect(namedSumsIn(`about ${text}.`, currency, locale)).toEqual([{ from: 6, to: 6 + text.length, amount }]);
});
