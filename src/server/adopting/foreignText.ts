import { createHash } from 'node:crypto';
import path from 'node:path';
import type { ForeignTemplate } from '../../core/adopting/adopt';
import { pictureInWords, picturesOf, withKeptPictures } from '../../core/adopting/foreignPictures';
import { readForeignHtml } from '../../core/adopting/readForeignHtml';
import { readForeignMarkdown } from '../../core/adopting/readForeignMarkdown';
import { decodeText } from '../../core/bringing/decodeText';
import { sizeInWords } from '../../core/describe/sizeInWords';
import { plainLine } from '../../core/document/plainLine';
import type { TemplateDocument } from '../../core/document/templateDocument';
import { inWords } from '../../core/problems/problem';
import { foreignMarks } from '../../core/reading/foreignMarks';
import { plainText } from '../../core/recognise/plainText';
import { isTemplateJson, readTemplateJson } from '../../core/takingOut/templateJson';
import { textFormOfPage } from '../../core/takingOut/templatePage';
import { normalised, splitFront } from '../../core/template/front/splitFront';
import type { Template } from '../../core/template/template';
import { readPassage, readTemplate, type Reading } from '../../core/template/text/readTemplate';
import { keptPictures, withoutDataPictures, type ContentOf, type PictureKeeper } from './alongPictures';
import { headLoosely } from './headLoosely';
import { NoTemplate } from './noTemplate';

/** A text of more characters is no letter, nor one with more placeholders. */
const LARGEST_TEXT = 1_000_000;
const MOST_MARKS = 500;
const LONGEST_NAME = 80;

/** A template of our own, as it was written out; a passage of our own; or a text from elsewhere. */
export type ReadText =
  | { file: string; own: Template; besides: readonly string[] }
  | { file: string; passage: { name: string; document: TemplateDocument } }
  | { file: string; foreign: ForeignTemplate };

/** What a text is read with, besides itself. */
export interface Along {
  contentOf: ContentOf;
  keeper?: PictureKeeper;
}

/**
 * Reads a text as what it holds: our own forms, a page, Markdown, plain words.
 * @throws NoTemplate with the place
 */
export async function readText(file: string, bytes: Buffer, along: Along): Promise<ReadText> {
  const text = normalised(decoded(bytes));
  if (
    /^\s*(?:<!doctype html|<html|<head|<body|<table|<div|<p[\s>]|<h[1-6])/i.test(text) ||
    /\.html?$/i.test(file)
  ) {
    const own = textFormOfPage(text);
    if (own !== undefined) {
      checkLength(file, own);
      return ownOrNone(file, readTemplate(own, file), withPagePictures(text, along));
    }
    return { file, foreign: await readHtml(file, text, along) };
  }
  checkLength(file, text);
  if (isTemplateJson(text)) return ownOrNone(file, readTemplateJson(text, file), along);
  if (text.startsWith('---\n')) return readWithHead(file, text, along);
  return {
    file,
    foreign: /\.(?:md|markdown)$/i.test(file) ? await readMarkdown(file, text, along) : readPlain(file, text),
  };
}

async function ownOrNone(file: string, reading: Reading<Template>, along: Along): Promise<ReadText> {
  if (!reading.value) throw new NoTemplate(...reading.problems.map(inWords));
  const { head, document } = reading.value;
  if (!along.keeper) return { file, own: reading.value, besides: [] };
  const { placed, left } = await withPictures(document, along);
  return { file, own: { head, document: placed }, besides: left };
}

/** A page of ours has its pictures within it, which its text form names by their sum. */
function withPagePictures(page: string, along: Along): Along {
  const inPage = withoutDataPictures(page).all;
  const bySum = new Map(
    inPage.map((content) => [createHash('sha256').update(content).digest('hex'), content]),
  );
  return { ...along, contentOf: (source) => bySum.get(source) ?? along.contentOf(source) };
}

/** A document with the pictures that came along; those that did not, in words. */
async function withPictures(
  document: TemplateDocument,
  { contentOf, keeper }: Along,
  fitted = false,
): Promise<{ placed: TemplateDocument; left: string[] }> {
  const pictures = picturesOf(document);
  if (pictures.length === 0) return { placed: document, left: [] };
  const kept = await keptPictures(
    pictures.map(({ source }) => source),
    contentOf,
    keeper,
  );
  return {
    placed: withKeptPictures(document, kept, fitted),
    left: pictures.filter(({ source }) => !kept.has(source)).map(pictureInWords),
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
async function readWithHead(file: string, text: string, along: Along): Promise<ReadText> {
  const reading = readTemplate(text, file);
  if (reading.value) return ownOrNone(file, reading, along);
  if (/(?:^|\/)passages\/[^/]+$/.test(file)) return readOwnPassage(file, text, along);
  const split = splitFront(text);
  const isOurs = /^(?:starts from|group):/m.test(text.slice(0, 2_000));
  if (split === 'never closed' || !split.front || isOurs)
    throw new NoTemplate(...reading.problems.map(inWords));
  const head = headLoosely(text);
  const read = await readMarkdown(file, text.slice(split.body), along);
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

async function readOwnPassage(file: string, text: string, along: Along): Promise<ReadText> {
  const { value, problems } = readPassage(text, file, nameOf(file));
  if (!value) throw new NoTemplate(...problems.map(inWords));
  const { placed } = along.keeper ? await withPictures(value.document, along) : { placed: value.document };
  return { file, passage: { name: value.name, document: placed } };
}

async function readMarkdown(file: string, text: string, along: Along): Promise<ForeignTemplate> {
  const [first = '', ...lines] = text.split('\n');
  const said = /^subject:\s*(.*)$/i.exec(first)?.[1];
  const body = said === undefined ? text : lines.join('\n');
  checkMarks(file, text);
  const { document, problems } = readForeignMarkdown(body, file);
  if (problems.length) throw new NoTemplate(...problems.map(inWords));
  const { placed, left } = await withPictures(document, along, true);
  return { name: nameOf(file), subject: plainLine(said ?? ''), document: placed, besides: left };
}

export function readPlain(file: string, text: string): ForeignTemplate {
  checkMarks(file, text);
  const { subject, document } = plainText(text);
  if (document.content.length === 0) throw new NoTemplate(`${file}:1:1: There are no words in it.`);
  return { name: nameOf(file), subject, document, besides: [] };
}

export async function readHtml(file: string, page: string, along: Along): Promise<ForeignTemplate> {
  const { html, contentOf } = withoutDataPictures(page);
  checkLength(file, html, 'page');
  checkMarks(file, html);
  const first = readForeignHtml(html);
  const kept = await keptPictures(
    first.pictures.map(({ source }) => source),
    (source) => contentOf(source) ?? along.contentOf(source),
    along.keeper,
  );
  const { title, document, pictures } = kept.size ? readForeignHtml(html, kept) : first;
  if (document.content.length === 0) throw new NoTemplate(`${file}:1:1: There are no words in it.`);
  return {
    name: title ? called(title) : nameOf(file),
    subject: plainLine(title ?? ''),
    document,
    besides: pictures.map(pictureInWords),
  };
}

function checkLength(file: string, text: string, what = 'text'): void {
  if (text.length > LARGEST_TEXT)
    throw new NoTemplate(`${file}:1:1: A ${what} of more than ${sizeInWords(LARGEST_TEXT)} is no letter.`);
}

function checkMarks(file: string, text: string): void {
  const marks = foreignMarks(text).length;
  if (marks > MOST_MARKS)
    throw new NoTemplate(`${file}:1:1: It has ${marks} placeholders; a letter has at most ${MOST_MARKS}.`);
}

export function nameOf(file: string): string {
  const base = path.basename(file.replace(/, message \d+$/, '')).replace(/\.[a-z]{2,8}$/i, '');
  return called(base.replace(/[_-]+/g, ' ')) || 'A template';
}

/** A name in one line, not too long. */
export function called(words: string): string {
  return words.replace(/\s+/g, ' ').trim().slice(0, LONGEST_NAME).trim();
}
