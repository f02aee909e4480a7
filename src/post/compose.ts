import MailComposer from 'nodemailer/lib/mail-composer';
import { escapeHtml } from '../core/fill/write/escape';
import { imageSources, withImagesAt } from '../core/fill/write/images';
import { flowed } from './flowed';

export interface Mailbox {
  name: string;
  address: string;
}

/** A picture that stands in a letter, by the name that the letter's HTML has for it. */
export type Pictures = ReadonlyMap<string, { type: string; content: Buffer }>;

export interface OutgoingLetter {
  messageId?: string;
  date: Date;
  from: Mailbox;
  to: readonly Mailbox[];
  copies: readonly Mailbox[];
  replyTo?: string;
  subject: string;
  text: string;
  /** where in the text the signature begins that it ends with */
  signatureAt?: number;
  /** a fragment */
  html: string;
  /** BCP 47 */
  language: string;
  pictures: Pictures;
}

/**
 * Composes a complete message (RFC 5322) as bytes: text that flows (RFC 3676) beside HTML (multipart/alternative, RFC
 * 2046), pictures with it (multipart/related, RFC 2387). A picture that is not given is its description.
 */
export async function compose(letter: OutgoingLetter): Promise<Buffer> {
  const { copies, text, signatureAt, html, language, pictures, ...headers } = letter;
  const named = imageSources(html).filter((source) => pictures.has(source));
  const idOf = (source: string) => `picture-${named.indexOf(source) + 1}@letter`;
  const placed = withImagesAt(html, (source) => (pictures.has(source) ? `cid:${idOf(source)}` : undefined));
  return new MailComposer({
    ...headers,
    cc: copies,
    newline: '\r\n',
    alternatives: [
      {
        // The composer's own text part would have no format.
        contentType: 'text/plain; charset=utf-8; format=flowed',
        contentTransferEncoding: 'quoted-printable',
        content: flowed(clean(text), signatureAt),
      },
      {
        contentType: 'text/html; charset=utf-8',
        contentTransferEncoding: 'quoted-printable',
        content: `<div lang="${escapeHtml(language)}">${clean(placed)}</div>\n`,
      },
    ],
    attachments: named.map((source) => {
      const { type, content } = pictures.get(source)!;
      return {
        cid: idOf(source),
        content,
        contentType: type,
        contentDisposition: 'inline',
        filename: `picture.${type.split('/')[1]}`,
      };
    }),
  } as unknown as ConstructorParameters<typeof MailComposer>[0])
    .compile()
    .build();
}

/** Control characters are no part of a letter: a bare carriage return would end a line for some and not for others. */
function clean(words: string): string {
  return words.replace(/[^\P{Cc}\n\t]/gu, ' ');
}
