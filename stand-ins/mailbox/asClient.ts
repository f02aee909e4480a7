import { randomUUID } from 'node:crypto';
import { createTransport } from 'nodemailer';
import MailComposer from 'nodemailer/lib/mail-composer';
import type { Dovecot } from '../imap/startDovecot';
import { headerOf, type Letter } from './letters';

/** How whoever got a letter answers it. */
export interface Answer {
  text?: string;
  html?: string;
  files?: { name: string; content: string }[];
  /** "Oda <oda@elsewhere.example>"; absent: the address that the letter came to */
  from?: string;
  subject?: string;
  /** a program answers that they are away */
  outOfOffice?: boolean;
  /** without the mark in the address, and without saying which letter it answers */
  unmarked?: boolean;
  /** with the letter's words below */
  quotes?: boolean;
  /** it is brought to nobody: it lies in the mailbox until that is read */
  onlyMailbox?: boolean;
}

/** What a server says of a letter that it has taken. */
export interface Report {
  state?: 'failed' | 'delayed' | 'delivered';
  /** the enhanced status code (RFC 3463) */
  status?: string;
  words?: string;
  /** said in words alone, as by servers that send no report (RFC 3464) */
  inWords?: boolean;
}

const addressIn = (value: string) => (/<([^<>]+)>/.exec(value)?.[1] ?? value).trim();

/** A message as it is brought, and to whom. */
export interface Brought {
  to: string;
  raw: Buffer;
}

/** An answer to a letter, as a mail program writes it. */
export async function answerTo(letter: Letter, answer: Answer): Promise<Brought> {
  const {
    text = 'Thank you.',
    html,
    files = [],
    outOfOffice = false,
    unmarked = false,
    quotes = false,
  } = answer;
  const to = addressIn((unmarked ? '' : headerOf(letter, 'reply-to')) || headerOf(letter, 'from'));
  const id = headerOf(letter, 'message-id');
  const quoted = letter.text.split('\n').map((line) => `> ${line}`);
  const below = quotes
    ? `\n\nOn ${letter.receivedAt.slice(0, 10)}, ${letter.from} wrote:\n${quoted.join('\n')}`
    : '';
  const raw = await built({
    from: answer.from ?? letter.to[0],
    to,
    subject: answer.subject ?? (outOfOffice ? `Automatic reply: ${letter.subject}` : `Re: ${letter.subject}`),
    text: text + below,
    ...(html === undefined ? {} : { html }),
    attachments: files.map(({ name, content }) => ({ filename: name, content })),
    ...(unmarked ? {} : { inReplyTo: id, references: `${headerOf(letter, 'references')} ${id}`.trim() }),
    ...(outOfOffice ? { headers: { 'Auto-Submitted': 'auto-replied' } } : {}),
  });
  return { to, raw };
}

/** What a server says of a letter to its first reader. It goes to where the letter's envelope says. */
export async function reportOf(letter: Letter, { state = 'failed', ...report }: Report): Promise<Brought> {
  const { status = state === 'failed' ? '5.1.1' : state === 'delayed' ? '4.4.1' : '2.0.0' } = report;
  const { words = state === 'failed' ? '550 5.1.1 No such mailbox here' : 'It is as it is', inWords } =
    report;
  const [reader = ''] = letter.to;
  const head = letter.headers.map(({ name, value }) => `${name}: ${value}`).join('\r\n');
  const to = letter.envelopeFrom;
  const said = `Your letter to <${reader}> ${state === 'failed' ? 'could not be delivered' : `was ${state}`}:\n\n<${reader}>: ${words}\n`;
  const about = {
    from: 'Mail server <mailer-daemon@post.example>',
    to,
    subject: 'Undelivered Mail Returned to Sender',
  };
  if (inWords) return { to, raw: await built({ ...about, text: `${said}\n--- The letter ---\n${head}\n` }) };
  const boundary = randomUUID();
  const part = (type: string, body: string) => `--${boundary}\r\nContent-Type: ${type}\r\n\r\n${body}\r\n`;
  const raw = [
    `From: ${about.from}\r\nTo: ${to}\r\nSubject: ${about.subject}\r\nMessage-ID: <${randomUUID()}@post.example>`,
    `Auto-Submitted: auto-replied\r\nMIME-Version: 1.0`,
    `Content-Type: multipart/report; report-type=delivery-status; boundary="${boundary}"\r\n`,
    part('text/plain; charset=utf-8', said.replaceAll('\n', '\r\n')) +
      part(
        'message/delivery-status',
        `Reporting-MTA: dns; post.example\r\n\r\nFinal-Recipient: rfc822; ${reader}\r\nAction: ${state}\r\nStatus: ${status}\r\nDiagnostic-Code: smtp; ${words}\r\n`,
      ) +
      part('text/rfc822-headers', head) +
      `--${boundary}--\r\n`,
  ].join('\r\n');
  return { to, raw: Buffer.from(raw) };
}

/** A message that answers nothing. */
export async function written(message: {
  from: string;
  to: string;
  subject?: string;
  text?: string;
}): Promise<Brought> {
  return { to: addressIn(message.to), raw: await built(message) };
}

function built(message: ConstructorParameters<typeof MailComposer>[0]): Promise<Buffer> {
  return new MailComposer(message).compile().build() as Promise<Buffer>;
}

/** Brings a message to where the business takes mail in (LMTP). @throws Error where it is not taken */
async function bring({ to, raw }: Brought, port: number): Promise<void> {
  const transport = createTransport({
    host: '127.0.0.1',
    port,
    lmtp: true,
    ignoreTLS: true,
  } as Parameters<typeof createTransport>[0]);
  try {
    const { rejectedErrors: [refused] = [] } = await transport.sendMail({
      envelope: { from: 'post@post.example', to },
      raw,
    });
    // By LMTP each reader has an answer of its own (RFC 2033, 4.2): a refusal is no error of the sending.
    if (refused) throw refused;
  } finally {
    transport.close();
  }
}

/** Where what is written to the business goes. */
export interface ToBusiness {
  /** the port at which it takes mail in */
  incoming: number;
  /** its mailboxes as mail programs read them; undefined: there is no Dovecot on this machine */
  imap?: Dovecot | undefined;
}

/**
 * Puts a message into the mailbox of whoever of the business it is to, and brings it to where the business takes mail in.
 * @param onlyMailbox it is not brought
 */
export async function deliver(
  { to, raw }: Brought,
  { incoming, imap }: ToBusiness,
  onlyMailbox = false,
): Promise<void> {
  if (onlyMailbox && !imap) throw new Error(NO_DOVECOT);
  // “imke+r…@” is Imke's.
  await imap?.put(to.replace(/\+[^@]*(?=@)/, ''), 'inbox', raw);
  if (!onlyMailbox) await bring({ to, raw }, incoming);
}

/** Somebody of the business writes in another mail program: it lies among what they have written. @returns the message */
export async function writtenElsewhere(
  message: { from: string; to: string; subject?: string; text?: string; answers?: string },
  { imap }: ToBusiness,
): Promise<Buffer> {
  if (!imap) throw new Error(NO_DOVECOT);
  const { answers, ...rest } = message;
  const raw = await built({ ...rest, ...(answers ? { inReplyTo: answers, references: answers } : {}) });
  await imap.put(addressIn(message.from), 'sent', raw);
  return raw;
}

const NO_DOVECOT = 'There is no Dovecot on this machine (dovecot-imapd of Debian’s packages).';
