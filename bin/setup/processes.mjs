import { spawn } from 'node:child_process';
import { closeSync, openSync, renameSync, statSync } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import path from 'node:path';

/** A log that has grown longer is put aside when its process starts. */
const LONGEST_LOG = 5_000_000;
/** A process that ends by itself is started again after ever longer pauses, in milliseconds. */
const FIRST_PAUSE = 1_000;
const LONGEST_PAUSE = 60_000;
/** One that ran for so long is no longer counted as failing at its start. */
const SETTLED = 120_000;

/**
 * The processes of a running application. Each writes its log itself, so that none of them hangs on this process's end;
 * a log that cannot be written keeps nothing from running.
 */
export class Processes {
  #children = new Map();
  #timers = new Set();
  #stopping = false;

  /**
   * @param onEnd hears the name and code of a process that ended by itself, and in how many seconds it is started again
   * @param watch whether it is started again
   */
  constructor(logs, onEnd, { watch = false } = {}) {
    this.logs = logs;
    this.onEnd = onEnd;
    this.watch = watch;
  }

  /** Starts a Node.js program. */
  async start(name, args, options) {
    await mkdir(this.logs, { recursive: true }).catch(() => undefined);
    return this.#run(name, args, options, FIRST_PAUSE);
  }

  #run(name, args, { env, cwd, show = false }, pause) {
    const log = show ? 'inherit' : openLog(path.join(this.logs, `${name}.log`));
    // A group of its own, so that Ctrl-C reaches this process alone, which then stops them in order.
    const child = spawn(process.execPath, args, { env, cwd, stdio: ['ignore', log, log], detached: true });
    if (typeof log === 'number') closeSync(log);
    const began = Date.now();
    this.#children.set(name, child);
    child.on('exit', (code, by) => {
      this.#children.delete(name);
      if (this.#stopping) return;
      const wait = Date.now() - began > SETTLED ? FIRST_PAUSE : pause;
      this.onEnd(name, code ?? by, this.watch ? wait / 1000 : undefined);
      if (!this.watch) return;
      const timer = setTimeout(() => {
        this.#timers.delete(timer);
        this.#run(name, args, { env, cwd, show }, Math.min(2 * wait, LONGEST_PAUSE));
      }, wait);
      this.#timers.add(timer);
    });
    return child;
  }

  /** Asks all to stop, and after ten seconds makes them. */
  async stop() {
    this.#stopping = true;
    for (const timer of this.#timers) clearTimeout(timer);
    const ends = [...this.#children.values()].map((child) => {
      const ended = new Promise((resolve) => child.once('exit', resolve));
      signal(child.pid, 'SIGTERM');
      const late = setTimeout(() => signal(child.pid, 'SIGKILL'), 10_000);
      return ended.finally(() => clearTimeout(late));
    });
    await Promise.all(ends);
  }
}

/** Opens a log for its process alone to read; one that cannot be opened is none. */
function openLog(file) {
  try {
    if ((statSync(file, { throwIfNoEntry: false })?.size ?? 0) > LONGEST_LOG) renameSync(file, `${file}.1`);
    return openSync(file, 'a', 0o600);
  } catch {
    return 'ignore';
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
