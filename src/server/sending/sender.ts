import { randomUUID } from 'node:crypto';
import type { Database } from '../../data/database';
import { holdLateLetters } from '../../data/repositories/sending/lateLetters';
import { claimLetters, SERVER, type OutgoingLetter } from '../../data/repositories/sending/outgoing';
import { recogniseDatabase } from '../../data/repositories/sending/ownMark';
import { claimPaced, pacedAccounts } from '../../data/repositories/sending/pacedLetters';
import {
  endTrouble,
  takeTrial,
  tryAllAgain,
  type SendingTrouble,
} from '../../data/repositories/sending/sendingTrouble';
import { dismissWorker, seeWorker } from '../../data/repositories/sending/workers';
import type { MailServer } from '../../post/mailServer';
import { now } from '../clock';
import { Ledger } from './ledger';
import { tryLetter, type SendingMeans } from './tryLetter';
import { WaysOut } from './waysOut';

/** How many letters to the application's own server are in hand, so that no connection waits for the database. */
const IN_HAND = 128;
/** An account of which so many are in hand is left alone meanwhile. */
const OF_ACCOUNT = 8;
/** And so many of all: a slow server keeps nobody else's waiting before that. */
const MOST_IN_HAND = 256;
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
  /** how many of them leave by each account */
  readonly #ofAccount = new Map<string, number>();
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
      waysOut: new WaysOut(database, server),
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
    this.#sending.waysOut.stop();
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
    this.#sending.waysOut.stop();
    await keepOn(() => dismissWorker(this.#database, this.#id));
  }

  /** Takes letters in hand that are due, and waits until one is done or it is time to look again. Gives whether there may be more. */
  async #sendWhatIsDue(): Promise<boolean> {
    const looks = Date.now() - this.#looked >= LOOK;
    if (looks) {
      this.#looked = Date.now();
      const trouble = await takeTrial(this.#database);
      if (trouble) await this.#tryTrouble(trouble);
      for (const account of await pacedAccounts(this.#database))
        this.#takeInHand(await claimPaced(this.#database, this.#id, account));
    }
    const ofServer = this.#ofAccount.get(SERVER) ?? 0;
    if ((looks || ofServer <= IN_HAND / 2) && this.#inHand.size < MOST_IN_HAND) {
      const full = [...this.#ofAccount]
        .filter(([account, letters]) => letters >= (account === SERVER ? IN_HAND : OF_ACCOUNT))
        .map(([account]) => account);
      const which = { full, serverMost: IN_HAND - ofServer };
      this.#takeInHand(await claimLetters(this.#database, this.#id, IN_HAND, which));
    }
    if (this.#inHand.size === 0) return false;
    await this.#pause();
    // After a failure of our own there is a pause.
    return !this.#letGo;
  }

  #takeInHand(letters: readonly OutgoingLetter[]): void {
    for (const letter of letters) this.#keepInHand(letter, () => tryLetter(this.#sending, letter, false));
  }

  #keepInHand({ account_id }: OutgoingLetter, tries: () => Promise<unknown>): void {
    const account = account_id ?? SERVER;
    const count = (more: number) => this.#ofAccount.set(account, (this.#ofAccount.get(account) ?? 0) + more);
    count(1);
    const work = keepOn(tries).then((tried) => {
      this.#inHand.delete(work);
      if (count(-1).get(account) === 0) this.#ofAccount.delete(account);
      this.#letGo ||= tried === undefined;
      this.#wake();
    });
    this.#inHand.add(work);
  }

  /** Sees with one letter whether a trouble is over. */
  async #tryTrouble(trouble: SendingTrouble): Promise<void> {
    const [letter] = await claimLetters(this.#database, this.#id, 1, { trouble });
    // Where no letter waits for it, the next one will find out.
    if (!letter) return endTrouble(this.#database, trouble);
    this.#keepInHand(letter, async () => {
      const isMet = await tryLetter(this.#sending, letter, true);
      if (isMet) await endTrouble(this.#database, { ...trouble, sender: letter.from_address });
      return isMet;
    });
  }

  async #beat(): Promise<void> {
    const at = new Date(now());
    await recogniseDatabase(this.#database, at);
    const id = this.#letGo ? randomUUID() : this.#id;
    await seeWorker(this.#database, id);
    this.#id = id;
    this.#letGo = false;
    await holdLateLetters(this.#database, at);
    this.#sending.waysOut.closeIdle();
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
