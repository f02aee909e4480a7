import { expect, test } from 'vitest';
import { hasWords, searchable, wordsWanted } from './finder';
import { numberForms } from './numberForms';

test.each([
  ['+441632960101', '01632 960101'],
  ['+441632960101', '01632960101'],
  ['+441632960101', '+44 1632 960101'],
  ['01632 960101', '960101'],
  ['01632 960101', '+441632960101'],
  ['+33 1 99 00 12 34', '+33 1 99 00 12 34'],
])('%s is found by %s', (number, search) =>
  expect(hasWords(searchable(numberForms('en-GB')(number)), wordsWanted(search))).toBe(true),
);
