import type { WordsFacts } from '../../core/contract/templateWords';
import type { TemplateDocument } from '../../core/document/templateDocument';
import { judgeOwnWords, type OwnWords } from '../../core/fill/judgeOwnWords';
import { readPassages } from '../../core/fill/paths/scope';
import type { StartingKind } from '../../core/records/recordKind';
import { wordsContext } from './wordsContext';
import { readWords, saySlow } from './wordsReader';

/** Words without a head of their own, as they were read; or what is wrong with them, in sentences. */
export type BodyReading = { document: TemplateDocument; problems?: undefined } | { problems: string[] };

/** Reads words that have no head of their own, as those of a template that starts from a record of a kind. */
export async function readBody(
  text: string,
  startsFrom: StartingKind,
  facts: WordsFacts,
): Promise<BodyReading> {
  // Its own head has no mistakes.
  const head = `---\nname: words\ngroup: none\nstarts from: ${startsFrom}\nsubject: words\n---\n`;
  const { template, problems } = await readWords(head + text, facts).catch(saySlow);
  return template ? { document: template.document } : { problems: problems.map(({ message }) => message) };
}

/** Reads and judges the words of a signature or a letterhead, which must do whatever a letter starts from. */
export async function readOwnWords(what: OwnWords, text: string, facts: WordsFacts): Promise<BodyReading> {
  const reading = await readBody(text, 'client', facts);
  if (reading.problems) return reading;
  const context = { schema: wordsContext(facts).schema, passages: readPassages(facts.passages) };
  const problems = judgeOwnWords(what, reading.document, context);
  return problems.length > 0 ? { problems } : reading;
}
