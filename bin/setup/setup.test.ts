import { spawn, spawnSync } from 'node:child_process';
import { mkdir, mkdtemp, writeFile } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';

const START = path.resolve(import.meta.dirname, '../start.mjs');
let dataDir: string;
const ports = { PORT: '0', MAILBOX_SMTP_PORT: '', MAILBOX_PORT: '' };

beforeEach(async () => {
  dataDir = await mkdtemp(path.join(tmpdir(), 'data-'));
  // Below those that outgoing connections are given.
  const taken = 20_000 + Math.floor(Math.random() * 12_000);
  Object.assign(ports, {
    PORT: String(taken),
    MAILBOX_SMTP_PORT: String(taken + 1),
    MAILBOX_PORT: String(taken + 2),
  });
});

function start(environment: Record<string, string>) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [START], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATA_DIR: dataDir,
      ...ports,
      ...environment,
    } as NodeJS.ProcessEnv,
    encoding: 'utf8',
    timeout: 60_000,
  });
  return { status, said: stdout + stderr };
}

describe('a start that cannot be says why in a sentence, and shows no stack', () => {
  it.each([
    [{ PORT: 'abc' }, 'PORT is a port from 1 to 65535, not “abc”.'],
    [{ DATABASE_URL: 'mysql://x' }, 'DATABASE_URL begins with postgres://'],
    [
      { DATABASE_URL: 'postgres://a:b@127.0.0.1:1/none' },
      'The database cannot be reached (connect ECONNREFUSED 127.0.0.1:1).',
    ],
    [{ FAIRQUILL_NOW: 'soon' }, 'FAIRQUILL_NOW is a moment as 2026-03-02T09:00:00Z, not “soon”.'],
  ])('%j', (environment, sentence) => {
    const { status, said } = start(environment as unknown as Record<string, string>);
    expect(said).toContain(sentence);
    expect(said).not.toMatch(/\n\s+at /);
    expect(status).toBe(1);
  });

  it('for a port that is taken', async () => {
    const server = createServer().listen(Number(ports.PORT), '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    const { status, said } = start({});
    server.close();
    expect(said).toBe(
      `Port ${ports.PORT} on 127.0.0.1, for the application, is in use. Stop what runs there, or choose another: PORT=${Number(ports.PORT) + 1} npm start\n`,
    );
    expect(status).toBe(1);
  });

  it('for a cluster of another server version', async () => {
    const cluster = path.join(dataDir, 'postgres', 'cluster');
    await mkdir(cluster, { recursive: true });
    await writeFile(path.join(cluster, 'PG_VERSION'), '9.6\n');
    // Readable for the server's own user, as the real folder is.
    spawnSync('chmod', ['-R', 'a+rX', dataDir]);
    const { said } = start({});
    expect(said).toMatch(
      /was made by PostgreSQL 9\.6, and this machine has \d+\. Install postgresql-9\.6, or move that folder away/,
    );
  });
});

describe('a data folder', () => {
  const left: ReturnType<typeof spawn>[] = [];
  const idle = (environment: Record<string, string>, ...words: string[]) => {
    const child = spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)', ...words], {
      detached: true,
      stdio: 'ignore',
      env: { ...process.env, ...environment },
    });
    left.push(child);
    return child;
  };
  afterEach(() => left.splice(0).forEach((child) => child.kill('SIGKILL')));

  it('is used by one start at a time', async () => {
    const running = idle({}, 'bin/start.mjs');
    await writeFile(path.join(dataDir, 'running.json'), JSON.stringify({ pid: running.pid }));
    expect(start({}).said).toBe(
      `Fair Quill runs already on this data (process ${running.pid}). Stop it first, or choose another DATA_DIR.\n`,
    );
  });

  it('is freed of what a killed start left, and of nothing else', async () => {
    const orphan = idle({ FAIRQUILL_DATA: dataDir });
    const stranger = idle({ FAIRQUILL_DATA: `${dataDir}-of-another` });
    await writeFile(path.join(dataDir, 'running.json'), JSON.stringify({ pid: 2 ** 22 - 1 }));
    const gone = new Promise((resolve) => orphan.once('exit', (_, signal) => resolve(signal)));
    start({ DATABASE_URL: 'postgres://a:b@127.0.0.1:1/none' });
    expect(await gone).toBe('SIGKILL');
    expect(stranger.exitCode).toBeNull();
    expect(stranger.signalCode).toBeNull();
  });
});
