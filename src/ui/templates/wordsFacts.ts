import type { RecordsFile } from '../../core/records/recordsFile';
import { schemaOf } from '../../core/records/schema';
import type { Passage } from '../../core/template/template';
import type { WordsReading } from '../../core/writing/readTemplateWords';

/** What a template's words are judged by, as it comes from the server. */
export interface WordsFacts {
  business: RecordsFile['business'];
  passages: Passage[];
  groups: string[];
}

/** Reads and judges words; the reader's script is fetched when it is first needed. */
export async function readWords(
  text: string,
  { business, passages, groups }: WordsFacts,
): Promise<WordsReading> {
  const { readTemplateWords } = await import('../../core/writing/readTemplateWords');
  return readTemplateWords(text, { schema: schemaOf({ business }), passages, groups });
}
