import type { ImapFlow } from 'imapflow';
import { LARGEST_MESSAGE } from '../../core/incoming/largestMessage';

/** How far a folder has been read (RFC 3501, 2.3.1.1). */
export interface ReadTo {
  uid_validity: number;
  next_uid: number;
}

/** A message of a folder. */
export interface FoundMessage {
  /** gives it; undefined: it is not there any more */
  read: () => Promise<Buffer | undefined>;
  /** when it came to the folder */
  at: Date;
  /** it is larger than what is taken: only its beginning is here */
  isCut: boolean;
  /** how far the folder has been read, with it */
  readTo: ReadTo;
}

/** Of a larger message so many bytes are taken. */
const BEGINNING = 2_000_000;
/** So many sizes are asked for at once. */
const BATCH = 200;

/**
 * Gives what has come to a folder, the oldest first, without marking it as read. The folder must not be wanted for anything else meanwhile.
 * @param before how far it was read; undefined, or of a folder that has been made anew: what came on a day or later is given
 * @returns how far it is read after all of them
 */
export async function* newMessages(
  client: ImapFlow,
  path: string,
  before: ReadTo | undefined,
  since: string,
): AsyncGenerator<FoundMessage, ReadTo> {
  const lock = await client.getMailboxLock(path, { readOnly: true });
  try {
    const folder = client.mailbox;
    if (!folder) throw new Error(`${path} is not open.`);
    const uid_validity = Number(folder.uidValidity);
    const next = before?.uid_validity === uid_validity ? before.next_uid : undefined;
    // One that was open already is told of what has come since.
    await client.noop();
    const readTo = { uid_validity, next_uid: Math.max(folder.uidNext, next ?? 1) };
    if (folder.exists === 0) return readTo;
    const asked = next === undefined ? { since: new Date(since) } : { uid: `${next}:*` };
    // “n:*” names the last message, however low its number is.
    const uids = ((await client.search(asked, { uid: true })) || []).filter((uid) => uid >= (next ?? 1));
    readTo.next_uid = Math.max(readTo.next_uid, ...uids.slice(-1).map((uid) => uid + 1));
    for (let from = 0; from < uids.length; from += BATCH) {
      const batch = uids.slice(from, from + BATCH).join(',');
      const found = await client.fetchAll(
        batch,
        { uid: true, size: true, internalDate: true },
        { uid: true },
      );
      for (const { uid, size = 0, internalDate } of found.sort((a, b) => a.uid - b.uid)) {
        const isCut = size > LARGEST_MESSAGE;
        yield {
          read: async () => {
            const source = isCut ? { start: 0, maxLength: BEGINNING } : true;
            const message = await client.fetchOne(String(uid), { source }, { uid: true });
            return message ? message.source : undefined;
          },
          at: new Date(internalDate ?? Date.now()),
          isCut,
          readTo: { uid_validity, next_uid: uid + 1 },
        };
      }
    }
    return readTo;
  } finally {
    lock.release();
  }
}
