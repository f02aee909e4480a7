import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { putWords } from '../../core/fairCopy/change/putWords';
import type { CopyDocument } from '../../core/document/copyDocument';
import { factsOf } from '../../core/writing/factsOf';
import { WritingDesk } from '../../core/writing/writingDesk';
import { oneLetter } from '../letters/oneLetter';
import { imke } from '../test/imke';
import { factsForWriting } from '../writing/factsForWriting';
import { sendLetter } from './sendLetter';
import type { WrittenLetter } from './readyToGo';
import { sendingDatabase } from './test/sendingDatabase';

const ground = sendingDatabase();

async function blank(change: (document: CopyDocument) => CopyDocument): Promise<WrittenLetter> {
  const start = { kind: 'client', key: 'hartigan' } as const;
  const facts = (await factsForWriting(imke, start))!;
  const desk = new WritingDesk({ ...facts, ...facts.list! });
  const choices = { template: desk.blankLetter(desk.situation(start)!), answers: {} };
  const filled = desk.fill(start, choices)!;
  return {
    id: randomUUID(),
    start,
    choices,
    templateVersion: 1,
    document: change(filled.document),
    facts: factsOf(filled),
  };
}

it('a letter without a template goes as it was written, with the house’s letterhead, and counts for no template', async () => {
  expect(await sendLetter(imke, await blank((document) => document))).toEqual({
    result: 'stopped',
    stops: ['The subject is empty. Write what the letter is about.'],
  });
  const letter = await blank((document) =>
    putWords(
      putWords(document, { line: 0, from: 0, to: 0 }, 'The key'),
      { line: 1, from: 10, to: 10 },
      ' It is under the pot.',
    ),
  );
  expect(await sendLetter(imke, letter)).toMatchObject({ result: 'going' });
  const kept = (await oneLetter(imke, letter.id))!;
  expect(kept).toMatchObject({ subject: 'The key', client_key: 'hartigan', template: null });
  expect(kept.text).toMatch(/^Hello Oda, It is under the pot\.\n\nImke Sandoval/);
  const [row] = (await ground.database.models.message.findAll({
    where: { id: letter.id },
    raw: true,
  })) as unknown as [{ template_id: null; template_version: null; html: string }];
  expect(row).toMatchObject({ template_id: null, template_version: null });
  expect((await factsForWriting(imke, letter.start))!.letters.map(({ template }) => template)).not.toContain(
    letter.choices.template,
  );
});
