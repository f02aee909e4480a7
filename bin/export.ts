import { writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { exportRecords } from '../src/server/exportRecords';

// npm runs a script in the project's folder; paths are meant from where it was called.
if (process.env.npm_lifecycle_event === 'export') process.chdir(process.env.INIT_CWD ?? '.');

// Whoever reads may stop early, as “head” does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

// npm run --silent export -- [--business KEY] [--out FILE.json]: without --out to standard output.
try {
  const { values } = parseArgs({ options: { business: { type: 'string' }, out: { type: 'string' } } });
  const json = `${JSON.stringify(await exportRecords(process.env.DATABASE_URL ?? '', values.business), null, 2)}\n`;
  if (values.out) await writeFile(values.out, json);
  else process.stdout.write(json);
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}
