import { spawn } from 'node:child_process';
import { createWriteStream } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import path from 'node:path';

/** The processes of a running application; each writes into a log of its own. */
export class Processes {
  #children = new Map();
  #stopping = false;

  constructor(logs, onEnd) {
    this.logs = logs;
    this.onEnd = onEnd;
  }

  /** Starts a Node.js program. When it ends by itself, onEnd hears its name and code. */
  async start(name, args, { env, cwd, show = false }) {
    await mkdir(this.logs, { recursive: true });
    const log = createWriteStream(path.join(this.logs, `${name}.log`), { flags: 'a' });
    // A group of its own, so that Ctrl-C reaches this process alone, which then stops them in order.
    const child = spawn(process.execPath, args, {
      env,
      cwd,
      stdio: ['ignore', 'pipe', 'pipe'],
      detached: true,
    });
    for (const stream of [child.stdout, child.stderr]) {
      stream.pipe(log, { end: false });
      if (show) stream.pipe(process.stdout, { end: false });
    }
    this.#children.set(name, child);
    child.on('exit', (code) => {
      this.#children.delete(name);
      if (!this.#stopping) this.onEnd(name, code);
    });
    return child;
  }

  pids() {
    return [...this.#children.values()].map((child) => child.pid);
  }

  /** Asks all to stop, and after ten seconds makes them. */
  async stop() {
    this.#stopping = true;
    const ends = [...this.#children.values()].map((child) => {
      const ended = new Promise((resolve) => child.once('exit', resolve));
      signal(child.pid, 'SIGTERM');
      const late = setTimeout(() => signal(child.pid, 'SIGKILL'), 10_000);
      return ended.finally(() => clearTimeout(late));
    });
    await Promise.all(ends);
  }
}

/** Signals a whole group: the web server has children of its own. */
export function signal(pid, name) {
  try {
    process.kill(-pid, name);
  } catch {
    // It is gone already.
  }
}
