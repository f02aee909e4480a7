import { readFileSync, statSync } from 'node:fs';
import { tellMail } from '../src/server/incoming/tellMail';

/** A larger file is no message: servers take none of half that. */
const LARGEST = 100_000_000;

// npm runs a script in the project's folder; paths are meant from where it was called.
if (process.env.npm_lifecycle_event === 'read-mail') process.chdir(process.env.INIT_CWD ?? '.');

// Whoever reads may stop early, as “head” does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

// npm run --silent read-mail -- FILE.eml: what the message is, as JSON.
try {
  const [file, ...others] = process.argv.slice(2);
  if (!file || others.length > 0)
    throw new Error('Say which message: npm run --silent read-mail -- FILE.eml');
  const found = statSync(file, { throwIfNoEntry: false });
  if (!found?.isFile()) throw new Error(`There is no file ${file}.`);
  if (found.size > LARGEST) throw new Error('A message is at most 100 MB.');
  process.stdout.write(`${JSON.stringify(await tellMail(readFileSync(file)), undefined, 2)}\n`);
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}
