import type { Database } from '../../data/database';
import {
  beginHandovers,
  concludeTries,
  releaseClaim,
  type Claim,
  type TryOutcome,
} from '../../data/repositories/sending/outgoing';
import { noteTrouble, type SendingTrouble } from '../../data/repositories/sending/sendingTrouble';
import { now } from '../clock';
import { gather } from './gather';

/** Pauses between the tries to write, in milliseconds: the database may be away for a while. */
const WRITE_AGAIN = [100, 500, 1000, 2000, 4000, 8000, 15_000, 30_000];

/** Where it is written down what becomes of letters while several go at once: one write serves many. */
export class Ledger {
  readonly #database: Database;
  readonly #begin: (claim: Claim) => Promise<ReadonlySet<string>>;
  readonly #conclude: (tried: { claim: Claim; outcome: TryOutcome }) => Promise<void>;

  constructor(database: Database) {
    this.#database = database;
    this.#begin = gather((claims) => beginHandovers(database, claims));
    this.#conclude = gather((tries) => written(() => concludeTries(database, tries, new Date(now()))));
  }

  /**
   * The server begins to take a letter's content: from now on it may have gone out.
   * @throws Error when another worker has taken the letter over: this one must let go of it
   */
  async begin(claim: Claim): Promise<void> {
    if (!(await this.#begin(claim)).has(claim.id))
      throw new Error('Another worker has taken this letter over.');
  }

  /** What became of a try. */
  async conclude(claim: Claim, outcome: TryOutcome): Promise<void> {
    await this.#conclude({ claim, outcome });
  }

  /** Lets go of a letter that nothing has become of; where it was not tried either, as if it had not been claimed. */
  async release(claim: Claim, { tried }: { tried: boolean }): Promise<void> {
    await written(() => releaseClaim(this.#database, claim, tried));
  }

  /** A server takes nothing from a sender, or from nobody. */
  async trouble(trouble: SendingTrouble, words: string, trial: boolean): Promise<void> {
    await written(() => noteTrouble(this.#database, trouble, words, trial));
  }
}

async function written(work: () => Promise<void>, tries = 0): Promise<void> {
  try {
    return await work();
  } catch (error) {
    const pause = WRITE_AGAIN[tries];
    if (pause === undefined) throw error;
    await new Promise((resolve) => setTimeout(resolve, pause));
    return written(work, tries + 1);
  }
}
