import { describe, expect, test } from 'vitest';
import { hasWords, searchable, wordsWanted } from './finder';

const finds = (text: string, search: string) => hasWords(searchable(text), wordsWanted(search));

describe('what is looked for', () => {
  test.each([
    ['Inês Amaro', 'ines'],
    ['Ines Amaro', 'Inês'],
    ['Maeve O’Connell', 'oconnell'],
    ["Maeve O'Connell", 'O’Connell'],
    ['Kesselüberholung, Straße 4', 'uberholung strasse'],
    ['LPC-1048, Rowan House', 'LPC1048'],
    ['LPC-1048, Rowan House', 'lpc-1048'],
    ['LPC-1048, Rowan House', '1048'],
    ['Rowan House', 'house rowan'],
    ['Holt-Marsh', 'marsh'],
    ['Holt-Marsh', 'holt marsh'],
    ['020 7946 0123', '02079460123'],
    ['020 7946 0123', '7946 0123'],
    ['+442079460123', '2079460123'],
    ['Monday 30 November at 09:30', '30 november'],
    ['Monday 30 November at 09:30', '09:30'],
    ['post@rowan.example', 'post@rowan.example'],
    ['post@rowan.example', 'rowan'],
    ['£1,240.00 open', '1,240.00'],
  ])('%j is found by %j', (text, search) => expect(finds(text, search)).toBe(true));

  test.each([
    ['3 November at 09:30', '30 november'],
    ['11 November, 130 m²', '30 november'],
    ['LPC-1048', '104 9'],
    ['Rowan House', 'rowan mill'],
  ])('%j is not found by %j', (text, search) => expect(finds(text, search)).toBe(false));

  test('nothing wanted is in everything, and signs alone are nothing', () => {
    expect(finds('Rowan', '  ')).toBe(true);
    expect(finds('Rowan', '- …')).toBe(true);
  });

  test('a long text full of digits takes no longer than its length', () => {
    const text = '12 '.repeat(50_000);
    expect(finds(text, '999')).toBe(false);
    expect(finds(text, '12')).toBe(true);
  });
});
