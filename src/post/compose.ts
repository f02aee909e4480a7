import MailComposer from 'nodemailer/lib/mail-composer';
import { directionOf } from '../core/fill/formats/direction';
import { escapeHtml } from '../core/fill/write/escape';
import { imageSources, withImagesAt } from '../core/fill/write/images';
import { bytesOf } from './bytesOf';
import { flowed } from './flowed';

interface Mailbox {
  name: string;
  address: string;
}

/** A picture that stands in a letter, by the name that the letter's HTML has for it. */
type Pictures = ReadonlyMap<string, { type: string; content: Buffer }>;

/** A file that goes with a letter; its media type is told by the name's ending. */
export interface Attachment {
  name: string;
  content: Buffer;
}

export interface OutgoingLetter {
  messageId?: string;
  date: Date;
  from: Mailbox;
  to: readonly Mailbox[];
  copies: readonly Mailbox[];
  /** told in a message that is kept; one that is sent names them in its envelope alone */
  blindCopies?: readonly Mailbox[];
  replyTo?: readonly Mailbox[];
  /** the Message-IDs of the messages before it, that of the one which it answers last */
  thread?: readonly string[];
  subject: string;
  text: string;
  /** who wrote what it answers, and below an empty line their words: they stand below */
  quoted?: string;
  /** the address of a small picture that is fetched when the letter is shown */
  openedAt?: string;
  /** where in the text the signature begins that it ends with */
  signatureAt?: number;
  /** a fragment; a letter may have none */
  html?: string;
  /** a program writes it by itself: nothing answers it (RFC 3834) */
  automatic?: boolean;
  /** BCP 47 */
  language: string;
  pictures: Pictures;
  attachments?: readonly Attachment[];
}

/**
 * Composes a complete message (RFC 5322) as bytes: text that flows (RFC 3676) beside HTML (multipart/alternative, RFC
 * 2046), pictures with it (multipart/related, RFC 2387). A picture that is not given is its description.
 */
export function compose(letter: OutgoingLetter): Buffer {
  const {
    copies,
    blindCopies = [],
    replyTo = [],
    thread = [],
    text,
    quoted,
    openedAt,
    signatureAt,
    html = '',
    language,
    pictures,
    attachments = [],
    automatic = false,
    ...headers
  } = letter;
  const named = imageSources(html).filter((source) => pictures.has(source));
  const idOf = (source: string) => `picture-${named.indexOf(source) + 1}@letter`;
  const placed = withImagesAt(html, (source) => (pictures.has(source) ? `cid:${idOf(source)}` : undefined));
  const message = new MailComposer({
    ...headers,
    ...(automatic ? { headers: { 'Auto-Submitted': 'auto-generated' } } : {}),
    cc: copies,
    bcc: blindCopies,
    ...(replyTo.length ? { replyTo } : {}),
    ...(thread.length ? { inReplyTo: inBrackets(thread.at(-1)!), references: thread.map(inBrackets) } : {}),
    newline: '\r\n',
    alternatives: [
      {
        // The composer's own text part would have no format.
        contentType: 'text/plain; charset=utf-8; format=flowed',
        contentTransferEncoding: 'quoted-printable',
        // What stands below is no part of the signature.
        content:
          flowed(clean(text), quoted ? undefined : signatureAt) +
          (quoted ? `\n\n${flowed(asQuoted(clean(quoted)))}` : ''),
      },
      ...(html
        ? [
            {
              contentType: 'text/html; charset=utf-8',
              contentTransferEncoding: 'quoted-printable',
              content: page(
                headers.subject,
                language,
                [clean(placed), quotedHtml(quoted), dot(openedAt)].join(''),
              ),
            },
          ]
        : []),
    ],
    attachments: [
      ...named.map((source) => {
        const { type, content } = pictures.get(source)!;
        return {
          cid: idOf(source),
          content,
          contentType: type,
          contentDisposition: 'inline',
          filename: `picture.${type.split('/')[1]}`,
        };
      }),
      ...attachments.map(({ name, content }) => ({ filename: name, content })),
    ],
  } as unknown as ConstructorParameters<typeof MailComposer>[0]).compile();
  (message as { keepBcc?: boolean }).keepBcc = blindCopies.length > 0;
  return bytesOf(message);
}

/** The letter's HTML as a document with a language and a title, for readers that read it aloud. */
function page(subject: string, language: string, body: string): string {
  return [
    '<!DOCTYPE html>',
    `<html lang="${escapeHtml(language)}" dir="${directionOf(language)}">`,
    `<head><meta charset="utf-8"><title>${escapeHtml(subject)}</title></head>`,
    `<body>${body}</body>`,
    '</html>\n',
  ].join('\n');
}

/** Control characters are no part of a letter: a bare carriage return would end a line for some and not for others. */
function clean(words: string): string {
  return words.replace(/[^\P{Cc}\n\t]/gu, ' ');
}

function inBrackets(id: string): string {
  return `<${id}>`;
}

/** The first line says who wrote; every other is theirs. */
function asQuoted(quoted: string): string {
  const [line, ...words] = quoted.split('\n');
  return [line, ...words.slice(1).map((one) => `> ${one}`)].join('\n');
}

function quotedHtml(quoted: string | undefined): string {
  if (!quoted) return '';
  const [line = '', , ...words] = clean(quoted).split('\n').map(escapeHtml);
  return `<p>${line}</p><blockquote type="cite">${words.join('<br>')}</blockquote>`;
}

/** It says nothing to whoever has the letter read aloud. */
function dot(address: string | undefined): string {
  return address === undefined ? '' : `<img src="${escapeHtml(address)}" width="1" height="1" alt="">`;
}
