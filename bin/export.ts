import { mkdir, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { parseArgs } from 'node:util';
import type { RecordsFile } from '../src/core/records/recordsFile';
import { withPicturesNamed } from '../src/server/records/exportPictures';
import { exportRecords, type Exported } from '../src/server/records/exportRecords';

// npm runs a script in the project's folder; paths are meant from where it was called.
if (process.env.npm_lifecycle_event === 'export') process.chdir(process.env.INIT_CWD ?? '.');

// Whoever reads may stop early, as “head” does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

// npm run --silent export -- [--business KEY] [--out FILE.json]: without --out to standard output, its pictures beside FILE.json.
try {
  const { values } = parseArgs({ options: { business: { type: 'string' }, out: { type: 'string' } } });
  const { records, pictures } = await exportRecords(process.env.DATABASE_URL ?? '', values.business);
  if (values.out) await writeBeside(values.out, records, pictures);
  else {
    process.stdout.write(asJson(records));
    if (pictures.size) console.error('Its pictures are written beside the file that --out names.');
  }
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 2;
}

/** The records, and their pictures in a folder beside them, named by their paths there. */
async function writeBeside(out: string, records: RecordsFile, pictures: Exported['pictures']): Promise<void> {
  const folder = `${path.basename(out, '.json')}-pictures`;
  if (pictures.size) await mkdir(path.join(path.dirname(out), folder), { recursive: true });
  const names = new Map<string, string>();
  for (const [sha256, { type, content }] of pictures) {
    const name = path.posix.join(folder, `${sha256}.${type.split('/')[1]}`);
    await writeFile(path.join(path.dirname(out), name), content);
    names.set(sha256, name);
  }
  await writeFile(out, asJson(withPicturesNamed(records, (source) => names.get(source) ?? source)));
}

function asJson(records: RecordsFile): string {
  return `${JSON.stringify(records, null, 2)}\n`;
}
