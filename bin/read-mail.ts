import { readFileSync, statSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { isLocale } from '../src/core/records/read/storedValues';
import { tellMail } from '../src/server/incoming/tellMail';

/** A larger file is no message: servers take none of half that. */
const LARGEST = 100_000_000;

// npm runs a script in the project's folder; paths are meant from where it was called.
if (process.env.npm_lifecycle_event === 'read-mail') process.chdir(process.env.INIT_CWD ?? '.');

// Whoever reads may stop early, as “head” does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

// npm run --silent read-mail -- FILE.eml: what the message is, as JSON.
try {
  const { values, positionals } = parseArgs({
    options: { locale: { type: 'string', default: 'en-GB' } },
    allowPositionals: true,
  });
  const [file, ...others] = positionals;
  if (!file || others.length > 0)
    throw new Error('Say which message: npm run --silent read-mail -- FILE.eml [--locale en-GB]');
  if (!isLocale(values.locale)) throw new Error(`There is no locale “${values.locale}”.`);
  const found = statSync(file, { throwIfNoEntry: false });
  if (!found?.isFile()) throw new Error(`There is no file ${file}.`);
  if (found.size > LARGEST) throw new Error('A message is at most 100 MB.');
  const told = await tellMail(readFileSync(file), { locale: values.locale, now: Date.now() });
  process.stdout.write(`${JSON.stringify(told, undefined, 2)}\n`);
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}
