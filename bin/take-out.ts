import { createWriteStream } from 'node:fs';
import { rename, rm } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import { parseArgs } from 'node:util';
import { takeOutFrom } from '../src/server/archive/fromCommandLine';

// npm runs a script in the project's folder; paths are meant from where it was called.
if (process.env.npm_lifecycle_event === 'take-out') process.chdir(process.env.INIT_CWD ?? '.');

try {
  const { values, positionals } = parseArgs({
    options: { business: { type: 'string' } },
    allowPositionals: true,
  });
  const [file, ...others] = positionals;
  if (!file || others.length > 0)
    throw new Error('Say into which file: npm run take-out -- FILE.zip [--business KEY]');
  const part = `${file}.part`;
  const name = await takeOutFrom(process.env.DATABASE_URL ?? '', values.business, async (content) => {
    try {
      await pipeline(content, createWriteStream(part));
    } catch (error) {
      await rm(part, { force: true });
      throw error;
    }
  });
  await rename(part, file);
  console.log(`All of ${name} is in ${file}. Keep it where nobody else reads it.`);
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}
