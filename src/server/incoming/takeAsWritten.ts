import { now } from '../clock';
import { readOriginal, takeMail, type Taken, type Whence } from './takeMail';

/** Takes in a message that lies in a file, as of when it was written: what is in a file may be no message. */
export async function takeAsWritten(
  business_id: string,
  raw: Buffer,
  whence: Whence,
): Promise<Taken['result'] | 'no message'> {
  const original = await readOriginal(raw);
  const { from, messageId, date } = original.read.mail;
  // What has nobody who wrote it and no head of a message is none.
  if (!from && messageId === undefined && date === undefined) return 'no message';
  const at = new Date(Math.min(date ?? now(), now()));
  return (await takeMail(business_id, original, at, whence)).result;
}
