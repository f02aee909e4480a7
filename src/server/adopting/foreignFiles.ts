import path from 'node:path';
import { parse } from 'yaml';
import type { ForeignTemplate } from '../../core/adopting/adopt';
import { readForeignHtml } from '../../core/adopting/readForeignHtml';
import { readForeignMarkdown } from '../../core/adopting/readForeignMarkdown';
import { plainLine } from '../../core/document/plainLine';
import { decodeText } from '../../core/bringing/decodeText';
import { sizeInWords } from '../../core/describe/sizeInWords';
import { inWords } from '../../core/problems/problem';
import { foreignMarks } from '../../core/reading/foreignMarks';
import { plainText } from '../../core/recognise/plainText';
import type { Template } from '../../core/template/template';
import { normalised, splitFront } from '../../core/template/front/splitFront';
import { readTemplate } from '../../core/template/text/readTemplate';
import { messagesIn } from '../../post/mbox';
import { readMail } from '../../post/reading/readMail';
import { NoTemplate } from './noTemplate';
import { entriesOf } from './zipEntries';

/** A template of our own, as it was written out; or a text from elsewhere. */
type ReadTemplate = { file: string; own: Template } | { file: string; foreign: ForeignTemplate };

/** What a file held that is no template: named, and left. */
export interface ReadFiles {
  templates: ReadTemplate[];
  left: { file: string; what: string }[];
}

/** A text of more bytes is no letter, nor one with more placeholders. */
const LARGEST_TEXT = 1_000_000;
const MOST_MARKS = 500;
/** A message with more bytes is not looked into. */
const LARGEST_MESSAGE = 40_000_000;
const MOST_MESSAGES = 500;
/** Files of so many bytes in all are read. */
export const LARGEST_FILE = 50_000_000;
/** Templates of one file. */
const MOST_TEMPLATES = 1_000;
const LONGEST_NAME = 80;

/**
 * Reads files with templates from elsewhere: text form, Markdown, HTML, a message, a mailbox file, plain text, or a zip of them; told
 * by what is in them, and where that does not tell by their names.
 * @throws NoTemplate with the place, where one cannot be read: then none is
 */
export async function readForeignFiles(
  files: readonly { name: string; bytes: Uint8Array }[],
): Promise<ReadFiles> {
  const read: ReadFiles = { templates: [], left: [] };
  for (const { name, bytes } of files) await readOne(name, Buffer.from(bytes), read, true);
  if (read.templates.length > MOST_TEMPLATES)
    throw new NoTemplate(
      `At most ${MOST_TEMPLATES} templates are read at once; these are ${read.templates.length}.`,
    );
  return read;
}

async function readOne(file: string, bytes: Buffer, into: ReadFiles, zips: boolean): Promise<void> {
  if (bytes.length === 0) throw new NoTemplate(`${file}:1:1: The file is empty.`);
  if (bytes.length > LARGEST_FILE)
    throw new NoTemplate(`${file}:1:1: This is larger than ${sizeInWords(LARGEST_FILE)}.`);
  if (bytes.subarray(0, 4).equals(ZIP)) {
    if (!zips) return void into.left.push({ file, what: 'a zip within a zip' });
    for (const { name, content } of await entriesOf(file, bytes)) {
      const within = `${file}/${name}`;
      const other = otherThanText(name, content);
      if (other) into.left.push({ file: within, what: other });
      else await readOne(within, content, into, false);
    }
    return;
  }
  if (isMailbox(bytes) || isMessage(file, bytes)) return readMessages(file, bytes, into);
  const other = otherThanText(file, bytes);
  if (other) throw new NoTemplate(`${file}:1:1: This is ${other}, and no text.`);
  into.templates.push(readText(file, bytes));
}

const ZIP = Buffer.from('PK\u0003\u0004', 'latin1');

/** What a file is that has no words of a template, in words. */
function otherThanText(name: string, content: Buffer): string | undefined {
  const begins = content.subarray(0, 8).toString('latin1');
  if (begins.startsWith('%PDF')) return 'a PDF';
  if (/^(?:\x89PNG|\xff\xd8\xff|GIF8|RIFF)/.test(begins)) return 'a picture';
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

async function readMessages(file: string, bytes: Buffer, into: ReadFiles): Promise<void> {
  const messages = isMailbox(bytes) ? messagesIn(bytes, MOST_MESSAGES + 1) : [bytes];
  if (messages.length > MOST_MESSAGES)
    throw new NoTemplate(`${file}:1:1: At most ${MOST_MESSAGES} messages are read at once.`);
  for (const [i, message] of messages.entries()) {
    const place = messages.length > 1 ? `${file}, message ${i + 1}` : file;
    if (message.length > LARGEST_MESSAGE)
      throw new NoTemplate(`${place}: This is larger than ${sizeInWords(LARGEST_MESSAGE)}.`);
    const { mail } = await readMail(message);
    const read = mail.html ? readHtml(place, mail.html) : readPlain(place, mail.text);
    const files = mail.files.map(({ name, size }) => `the attachment “${name}” (${sizeInWords(size)})`);
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

function readText(file: string, bytes: Buffer): ReadTemplate {
  if (bytes.length > LARGEST_TEXT)
    throw new NoTemplate(`${file}:1:1: A text of more than ${sizeInWords(LARGEST_TEXT)} is no letter.`);
  const text = normalised(decoded(bytes));
  if (
    /^\s*(?:<!doctype html|<html|<head|<body|<table|<div|<p[\s>]|<h[1-6])/i.test(text) ||
    /\.html?$/i.test(file)
  )
    return { file, foreign: readHtml(file, text) };
  if (text.startsWith('---\n')) return readWithHead(file, text);
  return {
    file,
    foreign: /\.(?:md|markdown)$/i.test(file) ? readMarkdown(file, text) : readPlain(file, text),
  };
}

/** What a page says of its own encoding counts where nothing else tells (WHATWG Encoding). */
function decoded(bytes: Buffer): string {
  const { text, encoding } = decodeText(bytes);
  if (encoding !== 'windows-1252') return text;
  const said = /<meta[^>]{0,200}charset\s*=\s*["']?\s*([\w-]{2,40})/i.exec(text.slice(0, 4_000))?.[1];
  try {
    return said ? new TextDecoder(said).decode(bytes) : text;
  } catch {
    return text;
  }
}

/** Our own text form; else Markdown whose head is another program’s. */
function readWithHead(file: string, text: string): ReadTemplate {
  const reading = readTemplate(text, file);
  if (reading.value) return { file, own: reading.value };
  const split = splitFront(text);
  const isOurs = /^(?:starts from|group):/m.test(text.slice(0, 2_000));
  if (split === 'never closed' || !split.front || isOurs)
    throw new NoTemplate(...reading.problems.map(inWords));
  const head = headOf(text.slice(split.front.start, split.front.end));
  const read = readMarkdown(file, text.slice(split.body));
  const { subject, name, title, ...others } = head;
  const besides = Object.keys(others).map((key) => `“${key}” of its head`);
  const said = [subject, title, name].find((one) => typeof one === 'string') as string | undefined;
  return {
    file,
    foreign: {
      ...read,
      name: called(String(name ?? title ?? subject ?? read.name)),
      subject: said === undefined ? read.subject : plainLine(said),
      besides: [...read.besides, ...besides],
    },
  };
}

function headOf(yaml: string): Record<string, unknown> {
  try {
    // A placeholder at the beginning of a value is none of YAML's.
    const quoted = yaml.replace(
      /^(\s*[\w -]+:\s*)([[{%*@].*)$/gm,
      (_, key: string, value: string) => key + JSON.stringify(value),
    );
    const read: unknown = parse(quoted, { maxAliasCount: 0 });
    return typeof read === 'object' && read !== null ? (read as Record<string, unknown>) : {};
  } catch {
    return {};
  }
}

function readMarkdown(file: string, text: string): ForeignTemplate {
  const [first = '', ...lines] = text.split('\n');
  const said = /^subject:\s*(.*)$/i.exec(first)?.[1];
  const body = said === undefined ? text : lines.join('\n');
  checkMarks(file, text);
  const { document, problems } = readForeignMarkdown(body, file);
  if (problems.length) throw new NoTemplate(...problems.map(inWords));
  return { name: nameOf(file), subject: plainLine(said ?? ''), document, besides: [] };
}

function readPlain(file: string, text: string): ForeignTemplate {
  checkMarks(file, text);
  const { subject, document } = plainText(text);
  if (document.content.length === 0) throw new NoTemplate(`${file}:1:1: There are no words in it.`);
  return { name: nameOf(file), subject, document, besides: [] };
}

function readHtml(file: string, html: string): ForeignTemplate {
  if (html.length > LARGEST_TEXT)
    throw new NoTemplate(`${file}:1:1: A page of more than ${sizeInWords(LARGEST_TEXT)} is no letter.`);
  checkMarks(file, html);
  const { title, document, pictures } = readForeignHtml(html);
  if (document.content.length === 0) throw new NoTemplate(`${file}:1:1: There are no words in it.`);
  return {
    name: title ? called(title) : nameOf(file),
    subject: plainLine(title ?? ''),
    document,
    besides: pictures,
  };
}

function checkMarks(file: string, text: string): void {
  const marks = foreignMarks(text).length;
  if (marks > MOST_MARKS)
    throw new NoTemplate(`${file}:1:1: It has ${marks} placeholders; a letter has at most ${MOST_MARKS}.`);
}

function nameOf(file: string): string {
  const base = path.basename(file.replace(/, message \d+$/, '')).replace(/\.[a-z]{2,8}$/i, '');
  return called(base.replace(/[_-]+/g, ' ')) || 'A template';
}

/** A name in one line, not too long. */
function called(words: string): string {
  return words.replace(/\s+/g, ' ').trim().slice(0, LONGEST_NAME).trim();
}
