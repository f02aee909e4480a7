import { randomUUID } from 'node:crypto';
import type { Database } from '../../data/database';
import { holdLateLetters } from '../../data/repositories/sending/lateLetters';
import { claimLetters, type OutgoingLetter } from '../../data/repositories/sending/outgoing';
import { recogniseDatabase } from '../../data/repositories/sending/ownMark';
import { endTrouble, takeTrial, tryAllAgain } from '../../data/repositories/sending/sendingTrouble';
import { dismissWorker, seeWorker } from '../../data/repositories/sending/workers';
import type { MailServer } from '../../post/mailConnection';
import { MailConnections } from '../../post/mailConnections';
import { now } from '../clock';
import { Ledger } from './ledger';
import { tryLetter, type SendingMeans } from './tryLetter';

/** How many letters go at once, each over a connection of its own; fewer where the server wants that. */
const CONNECTIONS = 16;
/** How many are in hand, so that no connection waits for the database. */
const IN_HAND = 64;
/** How often letters are looked for while there are none, in milliseconds. */
const LOOK = 400;
/** How often it is said that this worker is alive, and what has become late is held. */
const BEAT = 5_000;

/**
 * Hands letters over whose time has come. The queue is the letters themselves: each is claimed by one of any number of
 * senders, whose hold ends when it is not seen any more.
 */
export class Sender {
  readonly #database: Database;
  readonly #sending: SendingMeans;
  readonly #inHand = new Set<Promise<void>>();
  #id = randomUUID();
  #looked = 0;
  /** what it claimed and could not write the end of, another may take up */
  #letGo = false;
  #stopping = false;
  #wake = () => {};

  constructor(database: Database, server: MailServer) {
    this.#database = database;
    this.#sending = {
      database,
      ledger: new Ledger(database),
      connections: new MailConnections(server, CONNECTIONS),
    };
  }

  /** Sends until it is stopped. No error ends it: what failed is looked at again. */
  async run(): Promise<void> {
    await keepOn(async () => {
      await tryAllAgain(this.#database);
      await this.#beat();
    });
    const beating = setInterval(() => void keepOn(() => this.#beat()), BEAT);
    while (!this.#stopping) {
      const more = await keepOn(() => this.#sendWhatIsDue());
      if (!more && !this.#stopping) await this.#pause();
    }
    clearInterval(beating);
    await this.#end();
  }

  /** Ends after the letters that the server is taking. */
  stop(): void {
    this.#stopping = true;
    this.#sending.connections.stop();
    this.#wake();
  }

  /** Sends every letter whose time has come; for a caller that waits until all have been tried. */
  async sendAllDue(): Promise<void> {
    await this.#beat();
    while (await this.#sendWhatIsDue());
    await this.#end();
  }

  async #end(): Promise<void> {
    await Promise.all(this.#inHand);
    this.#sending.connections.stop();
    await keepOn(() => dismissWorker(this.#database, this.#id));
  }

  /** Takes letters in hand that are due, and waits for the first to be done. Gives whether there may be more. */
  async #sendWhatIsDue(): Promise<boolean> {
    if (Date.now() - this.#looked >= LOOK) {
      this.#looked = Date.now();
      const sender = await takeTrial(this.#database);
      if (sender !== undefined) await this.#tryTrouble(sender);
    }
    if (this.#inHand.size <= IN_HAND / 2) {
      const letters = await claimLetters(this.#database, this.#id, IN_HAND - this.#inHand.size);
      for (const letter of letters) this.#takeInHand(letter);
    }
    if (this.#inHand.size === 0) return false;
    await Promise.race(this.#inHand);
    // After a failure of our own there is a pause.
    return !this.#letGo;
  }

  #takeInHand(letter: OutgoingLetter): void {
    const work = keepOn(() => tryLetter(this.#sending, letter, false)).then((tried) => {
      this.#inHand.delete(work);
      this.#letGo ||= tried === undefined;
    });
    this.#inHand.add(work);
  }

  /** Sees with one letter whether a trouble is over. */
  async #tryTrouble(sender: string): Promise<void> {
    const [letter] = await claimLetters(this.#database, this.#id, 1, sender);
    // Where no letter waits for it, the next one will find out.
    if (!letter || (await tryLetter(this.#sending, letter, true)))
      await endTrouble(this.#database, letter?.from_address ?? sender);
  }

  async #beat(): Promise<void> {
    const at = new Date(now());
    await recogniseDatabase(this.#database, at);
    const id = this.#letGo ? randomUUID() : this.#id;
    await seeWorker(this.#database, id);
    this.#id = id;
    this.#letGo = false;
    await holdLateLetters(this.#database, at);
    this.#sending.connections.closeIdle();
  }

  #pause(): Promise<void> {
    return new Promise((resolve) => {
      const timer = setTimeout(resolve, LOOK);
      this.#wake = () => {
        clearTimeout(timer);
        resolve();
      };
    });
  }
}

/** Undefined where it failed: the log tells why. */
async function keepOn<T>(work: () => Promise<T>): Promise<T | undefined> {
  try {
    return await work();
  } catch (error) {
    console.error(error);
    return undefined;
  }
}
