import { expect, it } from 'vitest';
import { readTime, signTime } from './signedTime';

const ID = '00000000-0000-4000-8000-000000000000';
const AT = 1_800_000_000_000;
const signed = signTime('secret', AT, ID);

it('a time that was given out is read again, neither at once nor days later', () => {
  expect(readTime('secret', signed, AT + 2_999)).toBe('soon');
  expect(readTime('secret', signed, AT + 3_000)).toEqual({ id: ID });
  expect(readTime('secret', signed, AT + 86_400_000)).toEqual({ id: ID });
  expect(readTime('secret', signed, AT + 86_400_001)).toBe('late');
});

it('one that somebody made is none', () => {
  for (const text of [
    '',
    signed.replace(String(AT), String(AT - 1)),
    signTime('another', AT, ID),
    `${signed}x`,
    signed.slice(0, -1),
    signed.replace('4000-8000', '4000-8001'),
  ])
    expect(readTime('secret', text, AT + 10_000)).toBe('forged');
});
