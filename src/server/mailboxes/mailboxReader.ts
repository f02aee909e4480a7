import type { ImapFlow } from 'imapflow';
import type { Database } from '../../data/database';
import {
  keepReadTo,
  noteLeftOut,
  noteLookedInto,
  noteMailboxTrouble,
  readSoFar,
} from '../../data/repositories/accounts/mailboxes';
import type { Mailbox } from '../../data/repositories/accounts/mailAccounts';
import { findFolders } from '../../post/imap/folders';
import { mailboxFailure } from '../../post/imap/mailboxFailure';
import { newMessages, type FoundMessage } from '../../post/imap/newMessages';
import { openMailbox } from '../../post/imap/openMailbox';
import type { MailServer } from '../../post/mailServer';
import { ProviderRefuses } from '../../post/oauth/provider';
import { serverOf } from '../accounts/serverOf';
import { signingInTo } from '../accounts/signingInTo';
import { now } from '../clock';
import { isDatabaseAway } from '../databaseAway';
import { readOriginal, takeMail } from '../incoming/takeMail';
import type { Turns } from './turns';

/** How long it is waited before a mailbox is looked into again, in milliseconds: one that tells by itself what comes, and another. */
const PAUSE = { told: 60_000, untold: 20_000 };

/** One that cannot be read is tried again after half of the time that it could not be, at least and at most after so many seconds. */
const AGAIN = { least: 10, most: 900 };
/** A server that hears a wrong password too often shuts its owner out. */
const AGAIN_BY_PASSWORD = 120;

/** A message that fails is tried so often; then it stays in the mailbox, and is counted. */
const TRIES = 3;

const NO_ROOM = 'There is no room for what has come: the files of the business fill theirs.';

class Full extends Error {}

/** Reads one mailbox for as long as it is left to it: what has come, and what its owner has written. */
export class MailboxReader {
  readonly #database: Database;
  readonly #reader: string;
  readonly #mailbox: Mailbox;
  readonly #turns: Turns;
  #client: ImapFlow | undefined;
  #stopped = false;
  #wake: () => void = () => undefined;
  #hasNews = false;
  #served = false;

  /**
   * @param reader who has claimed it
   * @param turns in which messages of all mailboxes are taken
   */
  constructor(database: Database, reader: string, mailbox: Mailbox, turns: Turns) {
    this.#database = database;
    this.#reader = reader;
    this.#mailbox = mailbox;
    this.#turns = turns;
  }

  /** Reads until it is stopped or something fails. @returns after how many seconds it may be tried again */
  async run(): Promise<number> {
    let server: MailServer | undefined;
    try {
      server = serverOf(this.#mailbox, signingInTo(this.#database, 'mailbox', this.#mailbox));
      this.#client = await openMailbox(server);
      const folders = await findFolders(this.#client, this.#mailbox.sent_folder);
      this.#client.on('exists', () => this.#news()).on('close', () => this.#news());
      while (!this.#stopped) {
        this.#hasNews = false;
        if (folders.sent !== undefined) await this.#take(folders.sent, 'sent');
        // The last one stays open: of it the server tells.
        await this.#take(folders.inbox, 'inbox');
        await noteLookedInto(this.#database, this.#reader, this.#mailbox, new Date(now()));
        this.#served = true;
        await this.#wait();
      }
      return 0;
    } catch (error) {
      return this.#stopped ? 0 : await this.#fail(error, server);
    } finally {
      this.#client?.close();
    }
  }

  stop(): void {
    this.#stopped = true;
    this.#news();
  }

  async #fail(error: unknown, server: MailServer | undefined): Promise<number> {
    // Its owner cannot help that; nor can it be written down.
    if (isDatabaseAway(error)) return AGAIN.least;
    // Lines break: where it is not there again at once, that is said.
    if (this.#served && !(error instanceof Full)) return 1;
    console.error(`The mailbox of ${this.#mailbox.user_name} cannot be read:`, (error as Error).message);
    const isOurs = error instanceof Full || error instanceof ProviderRefuses || !server;
    const wrong = isOurs ? { field: '', words: (error as Error).message } : mailboxFailure(error, server);
    const seconds = await noteMailboxTrouble(
      this.#database,
      this.#reader,
      this.#mailbox,
      wrong.words,
      new Date(now()),
    );
    const least = ['secret', 'sign_in'].includes(wrong.field) ? AGAIN_BY_PASSWORD : AGAIN.least;
    return Math.min(AGAIN.most, Math.max(least, seconds / 2));
  }

  /** Takes what has come to a folder. */
  async #take(path: string, folder: 'inbox' | 'sent'): Promise<void> {
    const before = await readSoFar(this.#database, this.#mailbox, path);
    const messages = newMessages(this.#client!, path, before, this.#mailbox.since);
    for (;;) {
      const { done, value } = await messages.next();
      if (!done) await this.#turns.take(() => this.#takeOne(value, path, folder));
      const readTo = done ? value : value.readTo;
      const isOwn = await keepReadTo(this.#database, this.#reader, this.#mailbox, path, readTo);
      if (!isOwn) this.#stopped = true;
      if (done || this.#stopped) return void (await messages.return(readTo));
    }
  }

  async #takeOne(message: FoundMessage, path: string, folder: 'inbox' | 'sent'): Promise<void> {
    const { business_id, member_id } = this.#mailbox;
    const raw = await message.read();
    // Its owner may have put it elsewhere meanwhile.
    if (!raw) return;
    for (let tries = 1; ; tries++) {
      try {
        const original = await readOriginal(raw);
        if (message.isCut) original.read.mail.notes = [...original.read.mail.notes, CUT];
        // A server whose clock goes ahead would have it come later than what follows.
        const at = new Date(Math.min(message.at.getTime(), now()));
        const whence = { by: 'mailbox', folder, member_id } as const;
        const { result } = await takeMail(business_id, original, at, whence);
        if (result === 'no room') throw new Full(NO_ROOM);
        return;
      } catch (error) {
        if (error instanceof Full || isDatabaseAway(error)) throw error;
        if (tries < TRIES) continue;
        console.error(`A message of ${path} is left out:`, error);
        return noteLeftOut(this.#database, this.#mailbox);
      }
    }
  }

  #news(): void {
    this.#hasNews = true;
    this.#wake();
  }

  /** Waits until something has come, as far as the server tells, or for a while. */
  async #wait(): Promise<void> {
    const client = this.#client!;
    const tells = client.capabilities.has('IDLE');
    if (tells) void client.idle().catch(() => undefined);
    let timer: NodeJS.Timeout | undefined;
    await new Promise<void>((resolve) => {
      this.#wake = resolve;
      timer = setTimeout(resolve, tells ? PAUSE.told : PAUSE.untold);
      if (this.#hasNews) resolve();
    });
    clearTimeout(timer);
  }
}

const CUT = 'It is too large to be taken whole: only its beginning is here, the rest is in the mailbox.';
