import path from 'node:path';
import { expect, it } from 'vitest';
import { WritingDesk } from '../../src/core/writing/writingDesk';
import { keyOfName } from '../../src/core/template/keyOfName';
import { inKeys } from '../../src/core/template/naming';
import { readStarters } from '../../src/data/starters/readStarters';
import { demonstrationDesk } from '../../src/server/writing/demonstrationDesk';
import { everyLetter } from './everyLetter';
import { stumblesOf } from './rulesOfEnglish';

const { facts } = await demonstrationDesk(
  path.resolve('src/data/demonstration'),
  Date.parse('2026-11-25T09:00:00Z'),
);
const starters = await readStarters(path.resolve('src/data/starters'));
const passages = starters.passages.map((passage) => ({
  ...passage,
  key: keyOfName(passage.name, 'passage'),
}));
const templates = starters.templates.map((template) => ({
  ...inKeys(template, { passages, signatures: [] }),
  key: keyOfName(template.head.name, 'template'),
  version: 1,
}));
const letters = [...everyLetter(new WritingDesk({ ...facts, templates, passages }))].filter(
  ({ fitting }) => fitting,
);

it('a starter filled for a record that it fits says nothing that no letter should', () => {
  const stumbles = letters.flatMap(({ template, start, subject, text }) =>
    stumblesOf(subject, text).map(
      ({ rule, words }) => `${template}, ${start.kind}:${start.key}, ${rule}: ${words}`,
    ),
  );
  expect(stumbles).toEqual([]);
});

it('each starter fits some record, and what is made up in it stops its letters', () => {
  expect(new Set(letters.map(({ template }) => template)).size).toBe(templates.length);
  for (const { template, marks } of letters)
    if (template === 'Booking confirmed') expect(marks.some(({ kind }) => kind === 'stop')).toBe(true);
});
