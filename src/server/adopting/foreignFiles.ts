import { setImmediate } from 'node:timers/promises';
import { sizeInWords } from '../../core/describe/sizeInWords';
import { plainLine } from '../../core/document/plainLine';
import { LARGEST_TEMPLATES } from '../../core/files/limits';
import { messagesIn } from '../../post/mbox';
import { readMail } from '../../post/reading/readMail';
import { picturesBeside, type ContentOf, type PictureKeeper } from './alongPictures';
import { called, nameOf, readHtml, readPlain, readText, type Along, type ReadText } from './foreignText';
import { NoTemplate } from './noTemplate';
import { entriesOf } from './zipEntries';

/** What a file held that is no template: named, and left. */
export interface ReadFiles {
  templates: ReadText[];
  left: { file: string; why: string }[];
}

/** A message with more bytes is not looked into. */
const LARGEST_MESSAGE = 40_000_000;
const MOST_MESSAGES = 500;
/** Templates of one file. */
const MOST_TEMPLATES = 1_000;

/**
 * Reads files with templates from elsewhere: text form, Markdown, HTML, a message, a mailbox file, plain text, or a zip of them; told
 * by what is in them, and where that does not tell by their names.
 * @param keeper keeps the pictures that come along; absent: they are named
 * @throws NoTemplate with the place, where one cannot be read: then none is
 */
export async function readForeignFiles(
  files: readonly { name: string; bytes: Uint8Array }[],
  keeper?: PictureKeeper,
): Promise<ReadFiles> {
  const read: ReadFiles = { templates: [], left: [] };
  for (const { name, bytes } of files) {
    const buffer = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    if (isZip(buffer)) await readZip(name, buffer, read, keeper);
    else await readOne(name, buffer, read, { contentOf: () => undefined, ...(keeper ? { keeper } : {}) });
  }
  if (read.templates.length > MOST_TEMPLATES)
    throw new NoTemplate(
      `At most ${MOST_TEMPLATES} templates are read at once; these are ${read.templates.length}.`,
    );
  return read;
}

const isZip = (bytes: Buffer) => bytes.subarray(0, 4).toString('latin1') === 'PK\u0003\u0004';

async function readZip(
  file: string,
  bytes: Buffer,
  into: ReadFiles,
  keeper: PictureKeeper | undefined,
): Promise<void> {
  checkSize(file, bytes);
  const entries = await entriesOf(file, bytes);
  const contents = new Map(entries.map(({ name, content }) => [name, content]));
  const stems = new Map(entries.map(({ name, content }) => [name.replace(/\.[a-z]{2,5}$/i, ''), content]));
  for (const { name, content } of entries) {
    const within = `${file}/${name}`;
    const other = isZip(content) ? 'a zip within a zip' : otherThanText(name, content);
    const along = { contentOf: picturesBeside(name, contents, stems), ...(keeper ? { keeper } : {}) };
    // Ours stand there for the templates that show them.
    if (other === PICTURE && name.startsWith('pictures/')) continue;
    // What takes long altogether lets others have their turn.
    await setImmediate();
    if (other) into.left.push({ file: within, why: `This is ${other}.` });
    else
      await readOne(within, content, into, along).catch((error: unknown) => {
        // The others are read all the same.
        if (!(error instanceof NoTemplate)) throw error;
        into.left.push({ file: within, why: withoutPlace(within, error.lines[0]!) });
      });
  }
}

async function readOne(file: string, bytes: Buffer, into: ReadFiles, along: Along): Promise<void> {
  checkSize(file, bytes);
  if (isMailbox(bytes) || isMessage(file, bytes)) return readMessages(file, bytes, into, along);
  const other = otherThanText(file, bytes);
  if (other) throw new NoTemplate(`${file}:1:1: This is ${other}, and no text.`);
  into.templates.push(await readText(file, bytes, along));
}

function checkSize(file: string, bytes: Buffer): void {
  if (bytes.length === 0) throw new NoTemplate(`${file}:1:1: The file is empty.`);
  if (bytes.length > LARGEST_TEMPLATES)
    throw new NoTemplate(`${file}:1:1: This is larger than ${sizeInWords(LARGEST_TEMPLATES)}.`);
}

/** What is said of a file, without the file. */
function withoutPlace(file: string, line: string): string {
  return line.startsWith(file) ? line.slice(file.length).replace(/^(?::\d+:\d+)?: /, '') : line;
}

const PICTURE = 'a picture';

/** What a file is that has no words of a template, in words. */
function otherThanText(name: string, content: Buffer): string | undefined {
  const begins = content.subarray(0, 8).toString('latin1');
  if (begins.startsWith('%PDF')) return 'a PDF';
  if (/^(?:\x89PNG|\xff\xd8\xff|GIF8|RIFF)/.test(begins)) return PICTURE;
  if (/\.(?:docx?|odt|rtf|pages)$/i.test(name)) return 'a word processor’s file: save it as HTML or as text';
  if (begins.startsWith('PK')) return undefined;
  const isUtf16 = /^(?:\xff\xfe|\xfe\xff)/.test(begins);
  return !isUtf16 && content.subarray(0, 4096).includes(0) ? 'a file of another kind' : undefined;
}

function isMailbox(bytes: Buffer): boolean {
  return /^From \S+ .*\n/.test(bytes.subarray(0, 400).toString('latin1'));
}

/** Header lines to begin with, one of which only mail has. */
function isMessage(file: string, bytes: Buffer): boolean {
  const head = bytes.subarray(0, 8_000).toString('latin1').replace(/\r\n/g, '\n');
  const headers = /^(?:[\w-]+:.*\n(?:[ \t].*\n)*)+\n/.exec(head)?.[0] ?? '';
  return /\.eml$/i.test(file) || /^(?:mime-version|received|message-id|date|from):/im.test(headers);
}

async function readMessages(file: string, bytes: Buffer, into: ReadFiles, along: Along): Promise<void> {
  const messages = isMailbox(bytes) ? messagesIn(bytes, MOST_MESSAGES + 1) : [bytes];
  if (messages.length > MOST_MESSAGES)
    throw new NoTemplate(`${file}:1:1: At most ${MOST_MESSAGES} messages are read at once.`);
  for (const [i, message] of messages.entries()) {
    const place = messages.length > 1 ? `${file}, message ${i + 1}` : file;
    if (message.length > LARGEST_MESSAGE)
      throw new NoTemplate(`${place}: This is larger than ${sizeInWords(LARGEST_MESSAGE)}.`);
    await setImmediate();
    const { mail, contents } = await readMail(message);
    const shown = new Set<string>();
    const contentOf: ContentOf = (source) => {
      const id = /^cid:/i.test(source) ? source.slice(4) : undefined;
      const found = contents.find(({ contentId }) => id !== undefined && contentId === id);
      if (found) shown.add(found.sha256);
      return found?.content;
    };
    const read = mail.html
      ? await readHtml(place, mail.html, { ...along, contentOf })
      : readPlain(place, mail.text);
    const files = mail.files
      .filter(({ sha256 }) => !shown.has(sha256))
      .map(({ name, size }) => `the attachment “${name}” (${sizeInWords(size)})`);
    into.templates.push({
      file: place,
      foreign: {
        ...read,
        name: called(mail.subject || nameOf(file)),
        subject: plainLine(mail.subject),
        besides: [...read.besides, ...files, ...mail.notes],
      },
    });
  }
}
