import { spawn } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { ensurePackages } from './packages.mjs';
import { startPostgres } from './postgres.mjs';
import { ROOT } from './root.mjs';
import { saying } from './sentence.mjs';
import { environmentFor, readSettings } from './settings.mjs';

/** Runs an entry point with the database, which is stopped again unless the application was running on it. */
export async function withDatabase(entry, args) {
  await saying(async () => {
    const settings = readSettings();
    await ensurePackages();
    const { bundle } = await import('../bundle.mjs');
    const running = await readFile(path.join(settings.dataDir, 'running.json'), 'utf8').catch(() => '');
    const postgres = settings.databaseUrl ? undefined : await startPostgres(settings.dataDir);
    const env = {
      ...environmentFor(settings, settings.databaseUrl ?? postgres.url),
      DATABASE_OWNER_URL: settings.databaseUrl ? (settings.ownerUrl ?? '') : postgres.ownerUrl,
    };
    const child = spawn(process.execPath, [await bundle(entry), ...args(ROOT)], {
      env,
      cwd: ROOT,
      stdio: 'inherit',
    });
    const code = await new Promise((resolve) => child.on('exit', resolve));
    if (!running) await postgres?.stop();
    process.exitCode = code ?? 1;
  });
}
