import { statSync, readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { MOST_BYTES, NoSuchFile, readFile } from '../src/core/bringing/readFile';
import { isLocale } from '../src/core/records/read/storedValues';

// npm runs a script in the project's folder; paths are meant from where it was called.
if (process.env.npm_lifecycle_event === 'read') process.chdir(process.env.INIT_CWD ?? '.');

// Whoever reads may stop early, as “head” does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

// npm run --silent read -- FILE [--locale en-GB]: what would come in from it, as JSON. Exit 3: something in it is in doubt.
try {
  const { values, positionals } = parseArgs({
    options: { locale: { type: 'string', default: 'en-GB' } },
    allowPositionals: true,
  });
  const [file, ...others] = positionals;
  if (!file || others.length > 0)
    throw new NoSuchFile('Say which file: npm run --silent read -- FILE [--locale en-GB]');
  if (!isLocale(values.locale)) throw new NoSuchFile(`There is no locale “${values.locale}”.`);
  const found = statSync(file, { throwIfNoEntry: false });
  if (!found?.isFile()) throw new NoSuchFile(`There is no file ${file}.`);
  // Its size is known before anything of it is read.
  if (found.size > MOST_BYTES) throw new NoSuchFile('A file of clients is at most 20 MB.');
  const brought = readFile(readFileSync(file), { locale: values.locale });
  process.stdout.write(`${JSON.stringify(brought, undefined, 2)}\n`);
  if (brought.problems.length > 0 || brought.clients.some(({ doubts }) => doubts.length > 0))
    process.exitCode = 3;
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}
