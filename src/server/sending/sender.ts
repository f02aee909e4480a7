import { randomUUID } from 'node:crypto';
import type { Database } from '../../data/database';
import { holdLateLetters } from '../../data/repositories/lateLetters';
import { claimLetters, releaseClaim, type OutgoingLetter } from '../../data/repositories/outgoing';
import { recogniseDatabase } from '../../data/repositories/ownMark';
import { endTrouble, takeTrial, tryAllAgain } from '../../data/repositories/sendingTrouble';
import { dismissWorker, seeWorker } from '../../data/repositories/workers';
import { MailConnection, type MailServer } from '../../post/mailConnection';
import { now } from '../clock';
import { tryLetter } from './tryLetter';

/** How many letters go at once, each over a connection of its own. */
const CONNECTIONS = 5;
/** Claimed ahead, so that no connection waits for the database. */
const AHEAD = 10;
/** How often letters are looked for while there are none, in milliseconds. */
const LOOK = 400;
/** How often it is said that this worker is alive, and what has become late is held. */
const BEAT = 5_000;
/** A connection over which nothing went for so long is closed. */
const IDLE = 10_000;

/**
 * Hands letters over whose time has come. The queue is the letters themselves: each is claimed by one of any number of
 * senders, whose hold ends when it is not seen any more.
 */
export class Sender {
  readonly #database: Database;
  readonly #server: MailServer;
  #id = randomUUID();
  readonly #idle: MailConnection[] = [];
  readonly #busy = new Set<Promise<void>>();
  #ahead: OutgoingLetter[] = [];
  #lastSent = 0;
  #looked = 0;
  /** what it claimed and could not write the end of, another may take up */
  #letGo = false;
  #stopping = false;
  #wake = () => {};

  constructor(database: Database, server: MailServer) {
    this.#database = database;
    this.#server = server;
  }

  /** Sends until it is stopped. No error ends it: what failed is looked at again. */
  async run(): Promise<void> {
    await this.#keepOn(async () => {
      await tryAllAgain(this.#database);
      await this.#beat();
    });
    const beating = setInterval(() => void this.#keepOn(() => this.#beat()), BEAT);
    while (!this.#stopping) {
      const more = await this.#keepOn(() => this.#sendWhatIsDue());
      if (!more && !this.#stopping) await this.#pause();
    }
    clearInterval(beating);
    await Promise.allSettled(this.#busy);
    for (const letter of this.#ahead) await this.#keepOn(() => releaseClaim(this.#database, letter));
    this.#closeIdle();
    await this.#keepOn(() => dismissWorker(this.#database, this.#id));
  }

  /** Ends after the letters in hand. */
  stop(): void {
    this.#stopping = true;
    this.#wake();
  }

  /** Sends every letter whose time has come; for a caller that waits until all have been tried. */
  async sendAllDue(): Promise<void> {
    await this.#beat();
    while (await this.#sendWhatIsDue());
    await Promise.all(this.#busy);
    this.#closeIdle();
    await dismissWorker(this.#database, this.#id);
  }

  /** Begins with the letters that are due, as connections are free. Gives whether there may be more. */
  async #sendWhatIsDue(): Promise<boolean> {
    if (Date.now() - this.#looked >= LOOK) {
      this.#looked = Date.now();
      const sender = await takeTrial(this.#database);
      if (sender !== undefined) await this.#tryTrouble(sender);
    }
    if (this.#ahead.length < CONNECTIONS)
      this.#ahead.push(...(await claimLetters(this.#database, this.#id, AHEAD)));
    if (this.#ahead.length === 0 && this.#busy.size === 0) return false;
    while (!this.#stopping && this.#ahead.length && this.#busy.size < CONNECTIONS)
      this.#begin(this.#ahead.shift()!);
    await Promise.race(this.#busy);
    return true;
  }

  #begin(letter: OutgoingLetter): void {
    const work = this.#keepOn(() => this.#try(letter, false)).then((tried) => {
      this.#busy.delete(work);
      this.#letGo ||= tried === undefined;
    });
    this.#busy.add(work);
  }

  async #try(letter: OutgoingLetter, trial: boolean): Promise<boolean> {
    const connection = this.#idle.pop() ?? new MailConnection(this.#server);
    try {
      return await tryLetter(this.#database, connection, letter, trial);
    } finally {
      this.#lastSent = Date.now();
      this.#idle.push(connection);
    }
  }

  /** Sees with one letter whether a trouble is over. */
  async #tryTrouble(sender: string): Promise<void> {
    const [letter] = await claimLetters(this.#database, this.#id, 1, sender);
    // Where no letter waits for it, the next one will find out.
    if (!letter || (await this.#try(letter, true)))
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
    if (Date.now() - this.#lastSent > IDLE) this.#closeIdle();
  }

  #closeIdle(): void {
    for (const connection of this.#idle.splice(0)) connection.close();
  }

  async #keepOn<T>(work: () => Promise<T>): Promise<T | undefined> {
    try {
      return await work();
    } catch (error) {
      console.error(error);
      return undefined;
    }
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
