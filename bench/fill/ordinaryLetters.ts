import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { readMoment } from '../../src/core/dates/zone';
import { compileTemplate, type CompiledTemplate } from '../../src/core/fill/compileTemplate';
import { RecordBook } from '../../src/core/records/recordBook';
import type { RecordsFile } from '../../src/core/records/recordsFile';
import { schemaOf } from '../../src/core/records/schema';
import { situationFrom, type Situation } from '../../src/core/records/which/situation';
import { readTemplate } from '../../src/core/template/text/readTemplate';

const NOW = readMoment('2026-06-30T09:00:00Z')!;

/** The ordinary letter compiled, and a situation for each invoice of the records. */
export async function ordinaryLetters(
  records: RecordsFile,
): Promise<{ compiled: CompiledTemplate; situations: Situation[] }> {
  const file = path.join(process.cwd(), 'bench/fill/ordinary.md');
  const { value, problems } = readTemplate(await readFile(file, 'utf8'), 'ordinary.md');
  if (!value) throw new Error(problems.map(({ message }) => message).join('\n'));
  const result = compileTemplate(value, { schema: schemaOf(records), passages: new Map(), key: 'ordinary' });
  if (!result.compiled) throw new Error(result.problems.map(({ message }) => message).join('\n'));
  const book = new RecordBook(records, NOW);
  const situations = records.invoices!.map(({ key }) =>
    situationFrom(book, { kind: 'invoice', key }, { sender: records.members![0]! })!,
  );
  return { compiled: result.compiled, situations };
}
