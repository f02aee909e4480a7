import { createHash, randomUUID } from 'node:crypto';
import type { Correspondent, IncomingMail } from '../../core/incoming/incomingMail';
import { kindOfMail } from '../../core/incoming/kindOfMail';
import { letterSigns } from '../../core/incoming/letterSign';
import { ownWords } from '../../core/incoming/ownWords';
import {
  fromOfMessage,
  keepCameIn,
  keepIncoming,
  keepWrittenElsewhere,
  tieIncoming,
  type CameIn,
} from '../../data/repositories/incoming/keepIncoming';
import { messageOfSigns, type KnownMessage } from '../../data/repositories/incoming/messageOfSigns';
import { noteFoundSent } from '../../data/repositories/incoming/noteDelivery';
import { ownAddress } from '../../data/repositories/incoming/ownAddress';
import { clientOfAddress } from '../../data/repositories/startingRecords';
import { cleanHtml } from '../../post/reading/cleanHtml';
import { readMail, type ReadMail } from '../../post/reading/readMail';
import { connection } from '../connection';
import { roomLeftTo } from '../files/room';
import { noteReport } from './noteReport';

/** What became of a message that came to a business. */
export type Taken =
  | { result: 'taken'; message: string }
  /** it tells what became of letters */
  | { result: 'noted'; letters: string[] }
  /** it is here already, or is a letter of the business's own that came round */
  | { result: 'known' }
  /** it is none of the business's matters, and stays in the mailbox that it was read in; or a program wrote it in its own name */
  | { result: 'left' }
  /** the files of the business fill their room: it has to be brought again */
  | { result: 'no room' };

/** A message as it came: the same whatever business takes it. */
export interface Original {
  raw: Buffer;
  sha256: string;
  read: ReadMail;
}

/** Reads a message for those who take it. */
export async function readOriginal(raw: Buffer): Promise<Original> {
  return { raw, sha256: createHash('sha256').update(raw).digest('hex'), read: await readMail(raw) };
}

/** Where a message came from, which tells what may be believed of it. */
export type Whence =
  /** a mail server has brought it for an address of the business: anybody can write any sender into it */
  | { by: 'server' }
  /** a member has brought it in a file: what is from an address of the business was written there elsewhere */
  | { by: 'file' }
  /** it lay in a mailbox that is read, of a member or (null) of the business: among what came, or among what its owner has written */
  | { by: 'mailbox'; folder: 'inbox' | 'sent'; member_id: string | null };

/**
 * Takes a message in for a business: matched to the letter, the client and the job that it is about; once, however often and by however
 * many it is brought. All of it is kept or nothing. Of a mailbox is taken what its business is concerned with: what was written there to
 * somebody in no record is its owner's own matter, and what a program has sent to many stays there.
 * @param at when it came
 */
export async function takeMail(
  business_id: string,
  original: Original,
  at: Date,
  whence: Whence,
): Promise<Taken> {
  return connection().inBusiness(business_id, () => take(business_id, original, at, whence));
}

async function take(business_id: string, original: Original, at: Date, whence: Whence): Promise<Taken> {
  const database = connection();
  const { raw, sha256, read } = original;
  const { mail } = read;
  const from = (mail.from?.address ?? '').slice(0, MOST_OF_ADDRESS);
  const sameId =
    mail.messageId === undefined ? undefined : await fromOfMessage(database, business_id, mail.messageId);
  // One that was written down without its sender is told by its id alone.
  if (sameId === from || sameId === '') {
    if (whence.by === 'mailbox' && whence.folder === 'sent')
      await noteFoundSent(database, business_id, mail.messageId!, at);
    return { result: 'known' };
  }
  const about = await messageOfSigns(database, business_id, letterSigns(mail));
  const kind = kindOfMail(mail);
  const isAutomatic = kind.is === 'other' && kind.automatic;
  // What the application itself writes to members comes round.
  if (isAutomatic && (await ownAddress(database, business_id, from))) return { result: 'left' };
  const writer = await writerOf(business_id, from, whence);
  const recipients = recipientsOf(mail);
  // Whose it is tells whoever is on the other side.
  const others = writer ? recipients.map(({ address }) => address) : [from];
  const client = about?.message.client_id ? undefined : await clientAmong(business_id, others);
  if (whence.by === 'mailbox' && !about && !client && (writer || isAutomatic)) return { result: 'left' };
  if ((await roomLeftTo(business_id)) < 2 * raw.length) return { result: 'no room' };
  const which = { business_id, id: randomUUID() };
  // A Message-ID alone may be another's: whoever has seen it could keep their message from being taken.
  const mark = mail.messageId === undefined ? sha256 : kept(`${mail.messageId} ${from}`);
  const isNew = await keepIncoming(
    database,
    { ...which, mark, came_at: at, notes: mail.notes.map(kept) },
    { sha256, media_type: 'message/rfc822', content: raw },
  );
  if (!isNew) return { result: 'known' };
  if (kind.is === 'delivery report') {
    const letters = await noteReport(business_id, kind.deliveries, about?.message, at);
    const letter_id = letters[0] ?? null;
    await tieIncoming(database, which, { sign: about?.sign ?? null, letter_id, message_id: null });
    return { result: 'noted', letters };
  }
  const id = randomUUID();
  const message = {
    ...words(read),
    ...ties(about?.message, client?.id),
    ...(!about && whence.by === 'mailbox' ? { member_id: whence.member_id } : {}),
    business_id,
    id,
    message_id: mail.messageId && sameId === undefined ? kept(mail.messageId) : `${sha256}@incoming`,
    at,
  };
  const along = { recipients, files: files(read) };
  if (writer) {
    await keepWrittenElsewhere(database, { message: { ...message, ...writer }, ...along });
    await tieIncoming(database, which, { sign: about?.sign ?? null, letter_id: null, message_id: id });
    return { result: 'taken', message: id };
  }
  const came_as = isAutomatic ? 'automatic' : kind.is;
  await keepCameIn(database, { message: { ...message, came_as }, ...along });
  await tieIncoming(database, which, {
    sign: about?.sign ?? (client ? 'address' : null),
    letter_id: about?.message.direction === 'out' ? about.message.id : null,
    message_id: id,
  });
  return { result: 'taken', message: id };
}

/** Who of the business has written it in another mail program. Undefined: it came to the business. */
async function writerOf(
  business_id: string,
  from: string,
  whence: Whence,
): Promise<{ member_id: string | null } | undefined> {
  const isSent = whence.by === 'mailbox' && whence.folder === 'sent';
  if (whence.by !== 'file' && !isSent) return undefined;
  const own = await ownAddress(connection(), business_id, from);
  // What lies among the sent ones was written by its owner, whatever name they wrote under.
  return own ?? (isSent ? { member_id: whence.member_id } : undefined);
}

/** The client of the first of some addresses that is in the records. */
async function clientAmong(business_id: string, addresses: readonly string[]) {
  for (const address of addresses) {
    const client = await clientOfAddress(connection(), business_id, address);
    if (client) return client;
  }
  return undefined;
}

function recipientsOf({ to, copies }: IncomingMail): CameIn['recipients'] {
  return [...to.map(as('to')), ...copies.map(as('copy'))].filter(({ address }) => address !== '');
}

function words({ mail }: ReadMail) {
  const { own, quoted } = ownWords(mail.text);
  return {
    subject: kept(mail.subject),
    text: kept(own),
    quoted: quoted ? kept(quoted) : null,
    html: mail.html === undefined ? null : (cleanHtml(kept(mail.html)) ?? null),
    ...writer(mail.from),
  };
}

/** An address has no more characters (RFC 5321, 4.5.3.1). */
const MOST_OF_ADDRESS = 320;

/** As the database can hold an address: what is none is only said. */
const ADDRESS = /^[^\s@<>,;]{1,200}@[^\s@<>,;]{1,50}$/;

function writer({ name, address }: Correspondent = { name: '', address: '' }) {
  return ADDRESS.test(address)
    ? { from_name: kept(name), from_address: kept(address) }
    : { from_name: kept(`${name} ${address}`.trim()), from_address: null };
}

/** What the message that it answers is tied to, it is, too. */
function ties(
  about: KnownMessage | undefined,
  client_id: string | undefined,
): Pick<CameIn['message'], 'thread_id'> {
  if (!about) return { thread_id: randomUUID(), ...(client_id ? { client_id } : {}) };
  const { id: answers, direction: _, status: __, ...tied } = about;
  return { ...tied, ...{ answers, client_id: tied.client_id ?? client_id ?? null } };
}

function as(role: 'to' | 'copy') {
  return ({ name, address }: Correspondent) => ({
    role,
    name: kept(name),
    address: kept(address),
  });
}

function files({ contents }: ReadMail): CameIn['files'] {
  return contents
    .filter(({ content }) => content.length > 0)
    .map(({ name, type, sha256, content }) => ({ name: kept(name), media_type: type, sha256, content }));
}

/** What the database can hold: no NUL, no half of a character. */
function kept(text: string): string {
  return text.replaceAll('\0', '').toWellFormed();
}
