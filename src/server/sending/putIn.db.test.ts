import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { factsOf } from '../../core/writing/factsOf';
import { putIn } from '../../core/writing/putIn';
import { proofLetter } from '../../core/writing/proofLetter';
import { WritingDesk } from '../../core/writing/writingDesk';
import { oneLetter } from '../letters/oneLetter';
import { imke } from '../test/imke';
import { factsForWriting } from '../writing/factsForWriting';
import type { WrittenLetter } from './readyToGo';
import { sendLetter } from './sendLetter';
import { sendingDatabase } from './test/sendingDatabase';

const ground = sendingDatabase();
const START = { kind: 'client', key: 'college' } as const;

/** A short note into which the statement of account was put, as the page would send it. */
async function joined(): Promise<WrittenLetter> {
  const words = async (template: string) => (await factsForWriting(imke, START, { template }))!;
  const [facts, other] = [await words('short-note'), await words('statement-of-account')];
  const desk = new WritingDesk({ ...facts, ...facts.list!, templates: [...facts.words!, ...other.words!] });
  const answers = { Subject: 'A word', 'Your words': 'It was good to see you.' };
  const begun = {
    choices: { template: 'short-note', answers },
    document: desk.fill(START, { template: 'short-note', answers })!.document,
  };
  const letter = putIn(desk, START, begun, { template: 'statement-of-account', at: undefined });
  if (typeof letter === 'string') throw new Error(letter);
  const filled = desk.fill(START, letter.choices)!;
  const stets = proofLetter(letter.document, filled).marks.map(({ id }) => id);
  return {
    id: randomUUID(),
    start: START,
    templateVersion: 1,
    document: letter.document,
    facts: factsOf(filled),
    choices: { ...letter.choices, stets },
  };
}

it('a letter of two templates is filled again from both, and keeps the version of each', async () => {
  const letter = await joined();
  expect(await sendLetter(imke, letter)).toMatchObject({ result: 'going' });
  const kept = (await oneLetter(imke, letter.id))!;
  expect(kept.text).toContain('It was good to see you.');
  expect(kept.text).toContain('LPC-1048');
  const [rows] = await ground.database.sequelize.query(
    `select choices -> 'putIn' as put_in, template_version from message where id = '${letter.id}'`,
  );
  expect(rows).toEqual([
    {
      template_version: 1,
      put_in: [expect.objectContaining({ template: 'statement-of-account', version: 1 })],
    },
  ]);
});

it('does not go where what was put in is no longer there', async () => {
  const letter = await joined();
  const putIn = letter.choices.putIn!.map((one) => ({ ...one, version: 99 }));
  expect(await sendLetter(imke, { ...letter, choices: { ...letter.choices, putIn } })).toEqual({
    result: 'gone',
    what: 'template',
  });
});

it('is told when a fact in what was put in has changed', async () => {
  const letter = await joined();
  await ground.database.sequelize.query("update invoice set due_on = due_on + 1 where number = 'LPC-1048'");
  expect(await sendLetter(imke, letter)).toMatchObject({ result: 'changed' });
});
