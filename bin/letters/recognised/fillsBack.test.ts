import path from 'node:path';
import { expect, it } from 'vitest';
import { compileTemplate } from '../../../src/core/fill/compileTemplate';
import { fillTemplate } from '../../../src/core/fill/fillTemplate';
import { CERTAIN, type Find } from '../../../src/core/recognise/find';
import type { LetterText } from '../../../src/core/recognise/letterText';
import { recognise } from '../../../src/core/recognise/recognise';
import { recognisedTemplate } from '../../../src/core/recognise/recognisedTemplate';
import { startsIn } from '../../../src/core/records/startsIn';
import type { Situation } from '../../../src/core/records/which/situation';
import { readTemplate } from '../../../src/core/template/text/readTemplate';
import { printTemplate } from '../../../src/core/template/text/printTemplate';
import { demonstrationDesk } from '../../../src/server/writing/demonstrationDesk';
import { filledLetter, typedLetters } from './toldLetters';

const desk = await demonstrationDesk(
  path.resolve(import.meta.dirname, '../../../src/data/demonstration'),
  Date.parse('2026-11-25T09:00:00Z'),
);

/** A letter filled from what was found in it, for the same record. */
function filledBack(letter: LetterText, finds: readonly Find[], situation: Situation, language?: string) {
  const template = recognisedTemplate(letter, finds, { startsFrom: situation.start.kind, language });
  const { compiled, problems } = compileTemplate(template, desk.context);
  if (!compiled) throw new Error(problems.map(({ message }) => message).join(' '));
  const { subject, text, holes } = fillTemplate(compiled, situation);
  // A letter without a subject wants one.
  expect(holes.filter(({ kind }) => kind !== 'gap')).toEqual([]);
  return { subject, text, template };
}

it('whatever is certain is filled back to the very words, in every letter of the demonstration', () => {
  let letters = 0;
  let certain = 0;
  for (const { key, head } of desk.facts.templates) {
    for (const from of startsIn(desk.book, head.startsFrom)) {
      const told = filledLetter(desk, key, { kind: head.startsFrom, key: from });
      if (!told) continue;
      const { letter, situation, name } = told;
      const { finds, language } = recognise(letter, situation, desk.context);
      const sure = finds.filter(({ certainty }) => certainty >= CERTAIN);
      const plain = filledBack(letter, [], situation, language);
      const { subject, text } = filledBack(letter, sure, situation, language);
      expect({ subject, text }, name).toEqual({ subject: plain.subject, text: plain.text });
      letters++;
      certain += sure.length;
    }
  }
  expect(letters).toBeGreaterThan(500);
  expect(certain).toBeGreaterThan(letters * 3);
}, 240_000);

it('a template of a typed letter, with every find, is read again as it was printed and has no mistake', () => {
  for (const { letter, situation, name } of typedLetters(desk)) {
    const { finds, language } = recognise(letter, situation, desk.context);
    const { template, text } = filledBack(letter, finds, situation, language);
    const printed = printTemplate(template);
    const reading = readTemplate(printed, name);
    expect(reading.problems, name).toEqual([]);
    expect(printTemplate(reading.value!), name).toBe(printed);
    const sure = finds.filter(({ certainty }) => certainty >= CERTAIN);
    const certain = filledBack(letter, sure, situation, language);
    const asTyped = filledBack(letter, [], situation, language);
    expect(certain.text, name).toBe(asTyped.text);
    expect(text.length).toBeGreaterThan(0);
  }
});
