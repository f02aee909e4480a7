import { randomUUID } from 'node:crypto';
import { openDatabase } from '../../data/database';
import { claimMailboxes, holdMailboxes, letGoMailbox } from '../../data/repositories/accounts/mailboxes';
import { MailboxReader } from './mailboxReader';
import { Turns } from './turns';

/** So often it is looked which mailboxes nobody reads, in milliseconds: a new one, or one whose reader has ended. */
const ROUND = 2_000;
/** So many are read by one process. */
const MOST = 200;
/** So many messages are taken at once, as each is held whole. */
const MOST_AT_ONCE = 4;

/**
 * Reads the mailboxes of all businesses, each by one of however many processes do this.
 * @returns what ends it, after the messages that are being taken in
 */
export function startReading(url: string): { stop: () => Promise<void> } {
  const database = openDatabase(url, { across: true });
  const reader = randomUUID();
  const reading = new Map<string, { one: MailboxReader; ended: Promise<void> }>();
  const turns = new Turns(MOST_AT_ONCE);
  let stopped = false;
  let timer: NodeJS.Timeout | undefined;

  async function round(): Promise<void> {
    const held = await holdMailboxes(database, reader);
    for (const [id, { one }] of reading) if (!held.has(id)) one.stop();
    if (reading.size >= MOST) return;
    const ending = [...reading.keys()].filter((id) => !held.has(id));
    for (const mailbox of await claimMailboxes(database, reader, MOST - reading.size, ending)) {
      const { id } = mailbox;
      const one = new MailboxReader(database, reader, mailbox, turns);
      const ended = one
        .run()
        .then((seconds) => letGoMailbox(database, reader, mailbox, seconds))
        .catch((error: unknown) => console.error(error))
        .finally(() => reading.delete(id));
      reading.set(id, { one, ended });
    }
  }

  function next(): void {
    if (stopped) return;
    rounds = round()
      .catch((error: unknown) => console.error((error as Error).message))
      .then(() => {
        timer = setTimeout(next, ROUND);
      });
  }
  let rounds: Promise<void> = Promise.resolve();
  next();

  return {
    async stop() {
      stopped = true;
      await rounds;
      clearTimeout(timer);
      for (const { one } of reading.values()) one.stop();
      await Promise.all([...reading.values()].map(({ ended }) => ended));
      await database.close();
    },
  };
}
