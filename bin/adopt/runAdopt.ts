import { readPassages } from '../../src/core/fill/paths/scope';
import { adopt, type Adopted } from '../../src/core/adopting/adopt';
import { LARGEST_TEMPLATES } from '../../src/core/files/limits';
import type { RecordsFile } from '../../src/core/records/recordsFile';
import { schemaOf } from '../../src/core/records/schema';
import { printTag } from '../../src/core/template/tags/printTag';
import { printTemplate } from '../../src/core/template/text/printTemplate';
import { LONGEST_WORDS } from '../../src/core/template/text/tooLarge';
import { readForeignFiles } from '../../src/server/adopting/foreignFiles';
import { NoTemplate } from '../../src/server/adopting/noTemplate';
import { readFlags } from '../command/flags';
import { readBytes } from '../command/readText';
import { recordsIn } from '../command/recordsIn';
import { doing, Unusable, type Streams } from '../command/unusable';

const OPTIONS = { records: { type: 'string' } } as const;
/** Without records only what every business has is known. */
const NOBODYS: RecordsFile = { business: {} };
const USAGE = 'adopt FILE… [--records RECORDS.json]';

/**
 * The `adopt` command: what texts with another program’s placeholders become, as text form, one after the other. Gives its exit code:
 * 0 done, 3 done with something not understood (each on standard error), 2 unusable (docs/command-line.md).
 */
export function runAdopt(argv: string[], { out, err }: Streams): Promise<number> {
  return doing(
    async () => {
      const { wrong, others: names, text } = readFlags(argv, OPTIONS, [], true);
      if (names.length === 0) wrong.push('No file is named.');
      if (wrong.length) throw new Unusable([...wrong.map((line) => `adopt: ${line}`), USAGE]);
      const records = text('records');
      const context = {
        schema: schemaOf(records ? await recordsIn(records) : NOBODYS),
        passages: readPassages([]),
      };
      const files = await Promise.all(
        names.map(async (name) => ({ name, bytes: await readBytes(name, LARGEST_TEMPLATES) })),
      );
      const { templates, left } = await readForeignFiles(files).catch((error: unknown) => {
        throw error instanceof NoTemplate ? new Unusable(error.lines) : error;
      });
      const said = left.map(({ file, why }) => `${file}: ${why} It was left out.`);
      const printed = templates.flatMap((read) => {
        if ('own' in read) return [printTemplate(read.own)];
        if ('passage' in read) {
          said.push(`${read.file}: This is a passage. It was left out.`);
          return [];
        }
        const adopted = adopt(read.foreign, context);
        said.push(...notUnderstood(read.file, adopted));
        const template = printTemplate(adopted.template);
        if (template.length > LONGEST_WORDS)
          throw new Unusable([
            `${read.file}:1:1: It has more than the ${LONGEST_WORDS} characters of a template.`,
          ]);
        return [template];
      });
      out(printed.join('\n'));
      for (const line of said) err(`${line}\n`);
      return said.length ? 3 : 0;
    },
    { out, err },
  );
}

function notUnderstood(file: string, { names, besides }: Adopted): string[] {
  const gaps = names.filter(({ taken }) => taken === 'gap');
  return [
    ...gaps.map(({ words, proposed }) => {
      const perhaps = proposed ? ` It may be ${printTag({ type: 'field', attrs: proposed })}.` : '';
      return `${file}: It is not sure what “${words}” means; a gap stands there.${perhaps}`;
    }),
    ...besides.map((what) => `${file}: Left out: ${what}.`),
  ];
}
