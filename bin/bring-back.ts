import { parseArgs } from 'node:util';
import { bringBackInto } from '../src/server/archive/fromCommandLine';

// npm runs a script in the project's folder; paths are meant from where it was called.
if (process.env.npm_lifecycle_event === 'bring-back') process.chdir(process.env.INIT_CWD ?? '.');

try {
  const { values, positionals } = parseArgs({
    options: { business: { type: 'string' } },
    allowPositionals: true,
  });
  const [file, ...others] = positionals;
  if (!file || others.length > 0)
    throw new Error('Say which file: npm run bring-back -- FILE.zip [--business KEY]');
  const { name, rows, held } = await bringBackInto(process.env.DATABASE_URL ?? '', file, values.business);
  console.log(`${name} is back: ${rows} rows.`);
  if (held > 0)
    console.log(`${held} letters that were on their way are held: see in Post whether they have gone.`);
  console.log(
    'You sign in as before. Nobody else has a password yet: npm run password -- ADDRESS gives one.',
  );
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}
