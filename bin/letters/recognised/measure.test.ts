import path from 'node:path';
import { expect, it } from 'vitest';
import { demonstrationDesk } from '../../../src/server/writing/demonstrationDesk';
import { SITUATIONS_AT } from '../situations';
import { measure } from './measure';
import { filledLetters, MOST_FILLED, typedLetters } from './toldLetters';

it('finds clients’ facts in filled and in freely typed letters, in English and German, with few mistakes', async () => {
  const folder = path.resolve(import.meta.dirname, '../../../src/data/demonstration');
  const desk = await demonstrationDesk(folder, SITUATIONS_AT);
  const [filled, typed] = [filledLetters(desk), typedLetters(desk)];
  expect(filled).toHaveLength(MOST_FILLED);
  expect(typed.length).toBeGreaterThanOrEqual((filled.length + typed.length) / 4);
  expect(
    [...filled, ...typed].filter(({ letter }) => /Guten Tag|Liebe/.test(letter.text)).length,
  ).toBeGreaterThan(4);
  const { precision, recall, mistakes } = measure([...filled, ...typed], desk.context);
  expect(precision, mistakes.join('\n')).toBeGreaterThanOrEqual(0.97);
  expect(recall, mistakes.join('\n')).toBeGreaterThanOrEqual(0.92);
});
