import { createReadStream } from 'node:fs';
import { readdir, stat } from 'node:fs/promises';
import path from 'node:path';
import { LARGEST_MESSAGE } from '../../core/incoming/largestMessage';
import { ownAddress } from '../../data/repositories/incoming/ownAddress';
import { messagesOf } from '../../post/mbox';
import { connection } from '../connection';
import { businessesOf } from './businessesOf';
import { takeAsWritten } from './takeAsWritten';
import type { Taken, Whence } from './takeMail';

/** What became of the messages of a mailbox on disk. */
export type Counted = Record<Taken['result'] | 'too large' | 'no message', number>;

/**
 * Takes in what lies in a mailbox on disk: a Maildir (a folder with `cur` and `new`), a mailbox file (RFC 4155) or one message; each as of
 * when it was written. Nothing in it changes, and what is here already is not taken twice: it can be done again at any time.
 * @param address whose mailbox it is
 * @param folder whether it came there or was written there
 * @throws Error with a sentence, where there is none such, nobody has the address, or no room is left
 */
export async function takeFromFiles(
  place: string,
  address: string,
  folder: 'inbox' | 'sent',
): Promise<Counted> {
  const files = await filesOf(place);
  const [business] = await businessesOf(address);
  if (business === undefined) throw new Error(`No business here has the address ${address}.`);
  const whence: Whence = { by: 'mailbox', folder, member_id: await memberAt(business, address) };
  const counted: Counted = {
    taken: 0,
    noted: 0,
    known: 0,
    left: 0,
    'no room': 0,
    'too large': 0,
    'no message': 0,
  };
  for (const file of files) {
    for await (const raw of messagesOf(createReadStream(file, { highWaterMark: 1 << 20 }), LARGEST_MESSAGE)) {
      const result = raw === undefined ? 'too large' : await takeAsWritten(business, raw, whence);
      counted[result]++;
      if (result === 'no room') throw new Error(NO_ROOM);
    }
  }
  return counted;
}

const NO_ROOM =
  'There is no room for more: the files of the business fill theirs. What was taken before stays; do it again when there is.';

/** The files of messages of a place, in their order. */
async function filesOf(place: string): Promise<string[]> {
  const found = await stat(place).catch(() => undefined);
  if (found?.isFile()) return [place];
  if (!found?.isDirectory()) throw new Error(`There is no file or folder ${place}.`);
  const files: string[] = [];
  for (const part of ['cur', 'new']) {
    const names = await readdir(path.join(place, part)).catch(() => undefined);
    if (!names) throw new Error(`${place} is no Maildir: it has no folder “${part}”.`);
    // One that its owner has thrown away is left.
    const there = names.filter((name) => !name.startsWith('.') && !/:2,[A-Z]*T/.test(name)).sort();
    files.push(...there.map((name) => path.join(place, part, name)));
  }
  return files;
}

async function memberAt(business_id: string, address: string): Promise<string | null> {
  const own = await connection().inBusiness(business_id, () =>
    ownAddress(connection(), business_id, address),
  );
  return own?.member_id ?? null;
}
