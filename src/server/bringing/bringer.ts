import type { Database } from '../../data/database';
import { bringingAtWork, workAtBringing } from '../../data/repositories/bringing/atWork';

/** How often it is looked for something to bring in, in milliseconds. */
const LOOK = 500;
/** After a failure of our own. */
const PAUSE = 5_000;

/**
 * Brings in what was given, and takes out again what is to go: some rows in a transaction, one after the other. Any number of them
 * may run: each file is worked at by one.
 */
export class Bringer {
  readonly #database: Database;
  #stopping = false;
  #wake = () => {};

  constructor(database: Database) {
    this.#database = database;
  }

  /** Works until it is stopped. No error ends it: what failed is looked at again. */
  async run(): Promise<void> {
    while (!this.#stopping) {
      let pause = LOOK;
      try {
        while (!this.#stopping && (await this.workOnce()));
      } catch (error) {
        console.error('What is brought in waits.', error);
        pause = PAUSE;
      }
      if (!this.#stopping)
        await new Promise<void>((resolve) => {
          const timer = setTimeout(resolve, pause);
          this.#wake = () => {
            clearTimeout(timer);
            resolve();
          };
        });
    }
  }

  stop(): void {
    this.#stopping = true;
    this.#wake();
  }

  /** Brings the next rows in; gives whether there were any. */
  async workOnce(): Promise<boolean> {
    const database = this.#database;
    return database.acrossBusinesses(async () => {
      const at = await bringingAtWork(database);
      if (!at) return false;
      await workAtBringing(database, at);
      return true;
    });
  }
}
