import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { ensurePackages } from './packages.mjs';
import { findBinaries, startPostgres } from './postgres.mjs';
import { saying, Sentence } from './sentence.mjs';
import { readSettings } from './settings.mjs';

/**
 * Works on the data as the owner of its tables, with PostgreSQL's own programs; the database is stopped again unless the
 * application was running on it.
 * @param alone what is said where the application must not be running meanwhile
 * @param {(url: string, folder: string) => Promise<void>} work
 */
export async function withOwner(alone, work) {
  await saying(async () => {
    const { dataDir, databaseUrl, ownerUrl } = readSettings();
    await ensurePackages();
    const running = await readFile(path.join(dataDir, 'running.json'), 'utf8').catch(() => '');
    if (running && alone) throw new Sentence(alone);
    const { folder } = await findBinaries();
    if (databaseUrl) return work(ownerUrl ?? databaseUrl, folder);
    const postgres = await startPostgres(dataDir);
    try {
      await work(postgres.ownerUrl, folder);
    } finally {
      if (!running) await postgres.stop();
    }
  });
}
