import { randomUUID } from 'node:crypto';
import { factsOf } from '../../../core/writing/factsOf';
import { proofLetter } from '../../../core/writing/proofLetter';
import { WritingDesk } from '../../../core/writing/writingDesk';
import { factsForWriting } from '../../writing/factsForWriting';
import { imke } from '../../test/imke';
import type { WrittenLetter } from '../readyToGo';

const START = { kind: 'invoice', key: 'LPC-1048' } as const;

/**
 * A letter as the page would send it: a first reminder of an invoice, unless it is told otherwise. Its writer has read what the proof
 * asks, and means it.
 */
export async function written(more: Partial<WrittenLetter> = {}): Promise<WrittenLetter> {
  const { start = START, choices = { template: 'first-reminder', answers: {} } } = more;
  const facts = (await factsForWriting(imke, start, { template: choices.template }))!;
  const desk = new WritingDesk({ ...facts, ...facts.list!, templates: facts.words! });
  const filled = desk.fill(start, choices)!;
  const queries = proofLetter(filled.document, filled).marks.filter(({ kind }) => kind === 'query');
  return {
    id: randomUUID(),
    start,
    templateVersion: 1,
    document: filled.document,
    facts: factsOf(filled),
    ...more,
    choices: { ...choices, stets: [...(choices.stets ?? []), ...queries.map(({ id }) => id)] },
  };
}
