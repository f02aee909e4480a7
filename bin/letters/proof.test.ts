import path from 'node:path';
import { expect, it } from 'vitest';
import { demonstrationDesk } from '../../src/server/writing/demonstrationDesk';
import { everyLetter } from './everyLetter';

/** What the proof says rightly of letters that fit: read by eye, one by one, on 28 November 2026. */
const RIGHT: readonly RegExp[] = [
  // He has none.
  /^stop: Padraig O’Connell has no email address/,
  // A letter to a mover, of jobs that have none.
  /^stop: There is nobody to write to\. Choose the partner it goes to\./,
  /^stop: No greeting name: there is no recipient/,
  // A German template to who reads English, an English one to who reads German.
  /^query: It is written in (?:German|English); for .+ it should be in (?:English|German)\.$/,
];

it(
  'of no letter of the demonstration that fits does the proof say what is not so',
  { timeout: 120_000 },
  async () => {
    const desk = await demonstrationDesk(
      path.resolve('src/data/demonstration'),
      Date.parse('2026-11-25T09:00:00Z'),
    );
    const wrong: string[] = [];
    let letters = 0;
    for (const { template, start, fitting, marks } of everyLetter(desk)) {
      if (!fitting) continue;
      letters++;
      for (const { kind, message } of marks)
        if (!RIGHT.some((right) => right.test(`${kind}: ${message}`)))
          wrong.push(`${template}, ${start.kind}:${start.key}: ${kind}: ${message}`);
    }
    expect(letters).toBeGreaterThan(300);
    expect(wrong).toEqual([]);
  },
);
