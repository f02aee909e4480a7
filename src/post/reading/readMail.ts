import { createHash } from 'node:crypto';
import { fileTypeFromBuffer } from 'file-type';
import {
  simpleParser,
  type AddressObject,
  type Attachment,
  type EmailAddress,
  type ParsedMail,
} from 'mailparser';
import { sizeInWords } from '../../core/describe/sizeInWords';
import { fileName } from '../../core/files/fileNames';
import type { Correspondent, IncomingFile, IncomingMail } from '../../core/incoming/incomingMail';
import { headerLines } from '../../core/incoming/headerLines';
import { withoutBrackets } from '../../core/incoming/letterSign';
import { wordsOfHtml } from './wordsOfHtml';

/** A message has at most so many bytes; larger ones are kept as they are and not looked into. */
const LARGEST = 40_000_000;
/** … so many parts, */
const MOST_PARTS = 200;
/** … so many bytes of head to a part, */
const LARGEST_HEAD = 200_000;
/** … so many characters of HTML, */
const LONGEST_HTML = 2_000_000;
/** … so many characters of words, */
const LONGEST_TEXT = 1_000_000;
/** … and so many files, headers of a name and people in one header. */
const MOST_FILES = 50;
const MOST_HEADERS = 100;
const MOST_PEOPLE = 200;
/** A Message-ID of more characters is none. */
const LONGEST_ID = 500;

/** What came with a message, with its content. */
interface IncomingContent extends IncomingFile {
  content: Buffer;
  /** by which its HTML shows it (RFC 2392), without brackets */
  contentId?: string;
}

export interface ReadMail {
  mail: IncomingMail;
  /** the content of its files, in their order */
  contents: readonly IncomingContent[];
}

/**
 * Reads a message (RFC 5322, MIME) as it came. It never fails: what is too much or cannot be read is left out, and said in
 * the notes; the message itself is whoever calls's to keep.
 */
export async function readMail(raw: Buffer): Promise<ReadMail> {
  const notes: string[] = [];
  if (raw.length > LARGEST) {
    notes.push(`It has ${sizeInWords(raw.length)}: only its head was read, and the message kept as it came.`);
  } else {
    try {
      return await whole(await parsed(raw), notes);
    } catch (error) {
      notes.push(`Only its head was read, and the message kept as it came: ${(error as Error).message}.`);
    }
  }
  return whole(await parsed(headOf(raw)).catch(() => undefined), notes);
}

function parsed(raw: Buffer): Promise<ParsedMail> {
  const options = {
    keepDeliveryStatus: true,
    skipImageLinks: true,
    skipTextToHtml: true,
    skipTextLinks: true,
    skipHtmlToText: true,
    // Of the splitter below it: a message within a message is a file.
    ignoreEmbedded: true,
    maxHeadSize: LARGEST_HEAD,
    maxChildNodes: MOST_PARTS,
  };
  return simpleParser(raw, options);
}

/** A message's own head, without anything behind it. */
function headOf(raw: Buffer): Buffer {
  const head = raw.subarray(0, LARGEST_HEAD).toString('latin1');
  const end = /\r?\n\r?\n/.exec(head)?.index ?? head.length;
  // No head of a part, and nothing to be decoded.
  const own = head
    .slice(0, end)
    .replace(/^content-(?:type|transfer-encoding|disposition):.*(?:\r?\n[ \t].*)*$/gim, 'X-Was: it');
  return Buffer.from(`${own}\r\n\r\n`, 'latin1');
}

async function whole(read: ParsedMail | undefined, notes: string[]): Promise<ReadMail> {
  if (!read) return { mail: { ...NOTHING, notes }, contents: [] };
  const headers = headersOf(read.headerLines);
  const { report, others } = reportOf(read, headers);
  if (others.length > MOST_FILES) notes.push(`It has ${others.length} files: ${MOST_FILES} were taken.`);
  const contents = await Promise.all(others.slice(0, MOST_FILES).map(fileOf));
  const html = read.html ? read.html.slice(0, LONGEST_HTML) : undefined;
  const words = read.text?.trim() || html === undefined ? (read.text ?? '') : wordsOfHtml(html);
  const text = words ?? '';
  if (text.length > LONGEST_TEXT) notes.push('Its words are very many: those at the beginning were taken.');
  if (words === undefined) notes.push('Its words could not be told from its form.');
  const [from] = peopleOf(read.from);
  const date = dateOf(headers);
  const messageId = headers
    .get('message-id')
    ?.map(withoutBrackets)
    .find((id) => id !== '' && id.length <= LONGEST_ID);
  return {
    mail: {
      ...(messageId === undefined ? {} : { messageId }),
      ...(date === undefined ? {} : { date }),
      ...(from ? { from } : {}),
      to: peopleOf(read.to),
      copies: peopleOf(read.cc),
      subject: oneLine(read.subject ?? ''),
      inReplyTo: idsOf(headers.get('in-reply-to')),
      references: idsOf(headers.get('references')).reverse(),
      headers,
      text: text.slice(0, LONGEST_TEXT),
      ...(html === undefined ? {} : { html }),
      files: contents.map(({ content: _, contentId: __, ...file }) => file),
      ...(report ? { report } : {}),
      notes,
    },
    contents,
  };
}

const NOTHING = {
  to: [],
  copies: [],
  subject: '',
  inReplyTo: [],
  references: [],
  headers: new Map<string, string[]>(),
  text: '',
  files: [],
};

/** The parts of a delivery report (RFC 3462, RFC 3464) that programs read; the others are files. */
function reportOf(
  { attachments }: ParsedMail,
  headers: IncomingMail['headers'],
): { report?: NonNullable<IncomingMail['report']>; others: Attachment[] } {
  const status = attachments.find(({ contentType }) =>
    /^message\/(?:global-)?delivery-status$/i.test(contentType),
  );
  if (!status && !/^multipart\/report/i.test(headers.get('content-type')?.[0] ?? ''))
    return { others: attachments };
  const about = attachments.find(({ contentType }) =>
    /^(?:message\/(?:rfc822|global|rfc822-headers)|text\/rfc822-headers)$/i.test(contentType),
  );
  return {
    report: {
      fields: status?.content.toString('utf8') ?? '',
      ...(about ? { about: headersOf(linesOf(about.content)) } : {}),
    },
    others: attachments.filter((one) => one !== status && one !== about),
  };
}

/** The header lines of a message that was returned. */
function linesOf(content: Buffer): { key: string; line: string }[] {
  const head = content.subarray(0, LARGEST_HEAD).toString('utf8').replace(/\r\n?/g, '\n').split('\n\n')[0]!;
  return headerLines(head);
}

function headersOf(lines: readonly { key: string; line: string }[]): Map<string, string[]> {
  const headers = new Map<string, string[]>();
  for (const { key, line } of lines) {
    if (!key) continue;
    const known = headers.get(key) ?? [];
    if (known.length < MOST_HEADERS) headers.set(key, [...known, oneLine(line.slice(line.indexOf(':') + 1))]);
  }
  return headers;
}

function oneLine(text: string): string {
  return text
    .replace(/[\p{Cc}\p{Zl}\p{Zp}]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

/** The Message-IDs of a header, in their order. */
function idsOf(values: readonly string[] = []): string[] {
  return values.flatMap((value) => {
    const named = [...value.matchAll(/<([^<>\s]{1,500})>/g)].map(([, id]) => id!);
    // Some programs leave the brackets out.
    return named.length ? named : value.split(/\s+/).filter((one) => /^[^\s@]+@[^\s@]+$/.test(one));
  });
}

function peopleOf(given: AddressObject | AddressObject[] | undefined): Correspondent[] {
  const people = [given ?? []].flat().flatMap(({ value }) => value.flatMap(members));
  return people.slice(0, MOST_PEOPLE).map(({ name, address = '' }) => ({
    name: oneLine(name),
    address: address.trim().toLowerCase(),
  }));
}

/** A group is whoever is in it. */
function members(one: EmailAddress): EmailAddress[] {
  return one.group ? one.group : [one];
}

/** When its sender says that it was written; the parser would say now where that cannot be read. */
function dateOf(headers: IncomingMail['headers']): number | undefined {
  // The comment behind it, as “(GMT)”, says nothing more.
  const date = Date.parse((headers.get('date')?.[0] ?? '').replace(/\([^()]*\)/g, ''));
  return Number.isNaN(date) ? undefined : date;
}

async function fileOf(
  { filename, contentType, content, cid }: Attachment,
  at: number,
): Promise<IncomingContent> {
  const told = await fileTypeFromBuffer(content).catch(() => undefined);
  const type =
    told?.mime ??
    (/^[\w.+-]+\/[\w.+-]+$/.test(contentType) ? contentType.toLowerCase() : 'application/octet-stream');
  return {
    name: fileName(filename ?? '') || `File ${at + 1}${told ? `.${told.ext}` : ''}`,
    type,
    size: content.length,
    sha256: createHash('sha256').update(content).digest('hex'),
    content,
    ...(cid ? { contentId: cid } : {}),
  };
}
