import { MailConnection, type Envelope, type HandOver } from './mailConnection';
import type { MailServer } from './mailServer';

/** A connection that was not used for so long is closed, in milliseconds. */
const IDLE = 10_000;

/** Why a letter was not handed over: nothing is any more. */
export class Stopped extends Error {}

/** Connections to a mail server over which several letters go at once; each is kept for the next. */
export class MailConnections {
  readonly #server: MailServer;
  #most: number;
  readonly #idle: MailConnection[] = [];
  readonly #waiting: { begin: () => void; refuse: (error: Error) => void }[] = [];
  #used = 0;
  #lastUsed = 0;
  #stopped = false;

  constructor(server: MailServer, most: number) {
    this.#server = server;
    this.#most = most;
  }

  /**
   * Hands a message over as soon as a connection is free: see MailConnection.
   * @throws Stopped when it did not begin before the end
   */
  async handOver(envelope: Envelope, message: Buffer, beforeContent: () => Promise<void>): Promise<HandOver> {
    await this.#turn();
    const kept = this.#idle.pop();
    const connection = kept ?? new MailConnection(this.#server);
    let handed: HandOver;
    try {
      handed = await connection.handOver(envelope, message, beforeContent);
    } finally {
      this.#lastUsed = Date.now();
      this.#idle.push(connection);
      this.#used--;
      if (this.#used < this.#most) this.#waiting.shift()?.begin();
    }
    // It talks to others of ours at this moment: it only wants fewer at once.
    if (handed.result !== 'no server' || kept || this.#used === 0) return handed;
    this.#most = this.#used;
    return this.handOver(envelope, message, beforeContent);
  }

  /** Closes what was not used lately. Gives whether nothing is open. */
  closeIdle(): boolean {
    if (this.#used > 0 || Date.now() - this.#lastUsed <= IDLE) return false;
    this.#close();
    return true;
  }

  /** Refuses what has not begun; what has goes on. */
  stop(): void {
    this.#stopped = true;
    for (const { refuse } of this.#waiting.splice(0)) refuse(new Stopped());
    if (this.#used === 0) this.#close();
  }

  async #turn(): Promise<void> {
    if (this.#stopped) throw new Stopped();
    if (this.#used >= this.#most)
      await new Promise<void>((begin, refuse) => this.#waiting.push({ begin, refuse }));
    this.#used++;
  }

  #close(): void {
    for (const connection of this.#idle.splice(0)) connection.close();
  }
}
