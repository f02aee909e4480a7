import { statSync, readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { MOST_BYTES } from '../src/core/bringing/limits';
import { NoSuchFile } from '../src/core/bringing/openFile';
import { readFile } from '../src/core/bringing/readFile';
import { isTimeZone } from '../src/core/dates/zone';
import { isCurrency } from '../src/core/money/currency';
import { isLocale } from '../src/core/records/read/storedValues';

// npm runs a script in the project's folder; paths are meant from where it was called.
if (process.env.npm_lifecycle_event === 'read') process.chdir(process.env.INIT_CWD ?? '.');

// Whoever reads may stop early, as “head” does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

// npm run --silent read -- FILE: what would come in from it, as JSON. Exit 3: something in it is in doubt.
try {
  const { values, positionals } = parseArgs({
    options: {
      locale: { type: 'string', default: 'en-GB' },
      currency: { type: 'string', default: 'GBP' },
      zone: { type: 'string', default: 'Europe/London' },
    },
    allowPositionals: true,
  });
  const [file, ...others] = positionals;
  if (!file || others.length > 0)
    throw new NoSuchFile(
      'Say which file: npm run --silent read -- FILE [--locale en-GB] [--currency GBP] [--zone Europe/London]',
    );
  if (!isLocale(values.locale)) throw new NoSuchFile(`There is no locale “${values.locale}”.`);
  if (!isCurrency(values.currency)) throw new NoSuchFile(`There is no currency “${values.currency}”.`);
  if (!isTimeZone(values.zone)) throw new NoSuchFile(`There is no time zone “${values.zone}”.`);
  const found = statSync(file, { throwIfNoEntry: false });
  if (!found?.isFile()) throw new NoSuchFile(`There is no file ${file}.`);
  // Its size is known before anything of it is read.
  if (found.size > MOST_BYTES) throw new NoSuchFile('A file is at most 20 MB.');
  const brought = readFile(readFileSync(file), {
    ...values,
    hourCycle: 24,
    now: Date.now(),
    fields: [],
    services: [],
  });
  process.stdout.write(`${JSON.stringify(brought, undefined, 2)}\n`);
  if (brought.problems.length > 0 || brought.rows.some(({ doubts }) => doubts.length > 0))
    process.exitCode = 3;
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}
