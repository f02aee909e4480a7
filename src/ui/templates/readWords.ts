import type { WordsFacts } from '../../core/contract/templateWords';
import { schemaOf } from '../../core/records/schema';
import type { WordsReading } from '../../core/writing/readTemplateWords';

/** Reads and judges words; the reader's script is fetched when it is first needed. */
export async function readWords(
  text: string,
  { business, passages, signatures, groups }: WordsFacts,
): Promise<WordsReading> {
  const { readTemplateWords } = await import('../../core/writing/readTemplateWords');
  return readTemplateWords(text, {
    schema: schemaOf({ business }),
    passages,
    signatures,
    groups,
  });
}
