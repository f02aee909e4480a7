import { once } from 'node:events';
import { PassThrough, type Readable } from 'node:stream';
import { archiveLetters } from '../../data/archive/archiveLetters';
import { startingRecord } from '../../data/repositories/startingRecords';
import { inMbox } from '../../post/mbox';
import { addLetters } from '../archive/addLetters';
import { asMessage } from '../archive/asMessage';
import { zipInSnapshot } from '../archive/zipInSnapshot';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';

export type LettersForm = 'mbox' | 'zip';

/** All letters of a client, out and in, as a mailbox file or a zip of messages; made while it is read. Undefined: there is no such client. */
export async function lettersOut(
  { business_id }: CurrentMember,
  key: string,
  form: LettersForm,
): Promise<Readable | undefined> {
  const database = connection();
  const client = await database.inBusiness(business_id, () =>
    startingRecord(database, business_id, { kind: 'client', key }),
  );
  return client && (form === 'zip' ? zipOf(business_id, client.id) : mboxOf(business_id, client.id));
}

function mboxOf(business_id: string, client_id: string): Readable {
  const database = connection();
  const out = new PassThrough();
  const gone = once(out, 'close');
  const made = database.inSnapshot(business_id, async () => {
    for await (const letter of archiveLetters(database, business_id, client_id)) {
      if (out.destroyed) return;
      const from = letter.from_address ?? '';
      const whole = inMbox(await asMessage(database, business_id, letter), { from, at: letter.at });
      if (!out.write(whole)) await Promise.race([once(out, 'drain'), gone]);
    }
    out.end();
  });
  made.catch((error: unknown) => out.destroy(error instanceof Error ? error : new Error(String(error))));
  return out;
}

function zipOf(business_id: string, client_id: string): Readable {
  const database = connection();
  return zipInSnapshot(database, business_id, async (zip, end) => {
    await addLetters(zip, database, business_id, '', client_id);
    await end();
  });
}
