import type { Part } from '../document/eachPart';
import type { Line, TemplateDocument } from '../document/templateDocument';
import { labelOf, type Labels } from '../fill/describe/labels';
import { openingOf, printLine } from '../template/text/printLine';
import type { Passage, Template } from '../template/template';

/** A word of a template as it is read in pencil, what stands for a fact, what is said of the words, or the end of a line. */
export interface PencilToken {
  type: 'word' | 'field' | 'note' | 'end';
  /** with the spaces that follow */
  words: string;
  /** what tells it from another that is said with the same words: a picture's source */
  source?: string;
}

/** What a template is read with: its tags in words, and its passages by their keys. */
export interface PencilNames {
  labels: Labels;
  passages: readonly Pick<Passage, 'key' | 'name'>[];
}

const END: PencilToken = { type: 'end', words: '\n' };

/** A template word by word as it is read in pencil: its subject and then its blocks, a line each. */
export function pencilTokens({ head, document }: Template, pencil: PencilNames): PencilToken[] {
  return [
    note('Subject:'),
    ...head.subject.flatMap((word) => tokensOf(word, pencil)),
    END,
    ...document.content.flatMap((block) => tokensOf(block, pencil)),
  ];
}

/** How a passage or a signature begins, in one line as it is read in pencil: "Kind regards, / sender, full name". */
export function beginning({ content }: TemplateDocument, pencil: PencilNames): string {
  const tokens = content.flatMap((block) => tokensOf(block, pencil));
  const lines = tokens
    .map(({ words }) => words)
    .join('')
    .split(/\s*\n\s*/);
  return lines
    .filter((line) => line !== '')
    .join(' / ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, 120);
}

function tokensOf(part: Part, pencil: PencilNames): PencilToken[] {
  const inside = (content: readonly Part[]) => content.flatMap((child) => tokensOf(child, pencil));
  switch (part.type) {
    case 'text':
      return [...wordsOf(part.text), ...linkOf(part.marks, pencil)];
    case 'break':
      return [END];
    case 'field':
    case 'blank':
      return [field(labelOf(part, pencil.labels))];
    case 'gap':
    case 'unfinished':
      return [field(part.attrs.words)];
    case 'signature':
      return [field('signature')];
    case 'image':
      return [pictureOf(part, pencil)];
    case 'passage':
      return [
        field(pencil.passages.find(({ key }) => key === part.attrs.passage)?.name ?? part.attrs.passage),
        END,
      ];
    case 'comment':
      return [];
    case 'rule':
      return [note('———'), END];
    case 'section':
      return structure(opening(part, pencil), inside(part.content));
    case 'when': {
      const [then, otherwise] = part.content;
      return [
        ...structure(opening(part, pencil), inside([then])),
        ...(otherwise ? structure('Otherwise', inside([otherwise])) : []),
      ];
    }
    case 'paragraph':
    case 'heading':
    case 'codeBlock':
      return [...inside(part.content), END];
    case 'listItem':
      return [note('•'), ...inside(part.content)];
    case 'tableRow':
      return [
        ...part.content.flatMap((cell, i) => [...(i ? [note(' |')] : []), ...tokensOf(cell, pencil)]),
        END,
      ];
    default:
      return inside(part.content);
  }
}

/** A structure's condition stands before what depends on it; among blocks on a line of its own. */
function structure(label: string, inner: PencilToken[]): PencilToken[] {
  const isBlock = inner.at(-1) === END;
  return isBlock ? [note(label), END, ...inner] : [note(`${label}:`), ...inner];
}

function wordsOf(text: string): PencilToken[] {
  return (text.match(/\S+\s*|\s+/g) ?? []).map((words) => ({ type: 'word', words }));
}

function linkOf(marks: Extract<Part, { type: 'text' }>['marks'], pencil: PencilNames): PencilToken[] {
  const link = marks?.find((mark) => mark.type === 'link');
  return link?.type === 'link' ? [note(`(${inLine(link.attrs.address, pencil)})`)] : [];
}

/** A picture by its words for those who see none; without them by the fact that it is. */
function pictureOf({ attrs }: Extract<Part, { type: 'image' }>, pencil: PencilNames): PencilToken {
  const fact = attrs.source.find((part) => part.type === 'field');
  const words = inLine(attrs.description, pencil) || (fact ? labelOf(fact, pencil.labels) : '');
  const source = inLine(attrs.source, pencil);
  return { ...field(words ? `picture “${words}”` : 'picture'), source };
}

function opening(part: Parameters<typeof openingOf>[0], { labels }: PencilNames): string {
  return openingOf(part, (tag) => labelOf(tag, labels));
}

function inLine(line: Line, pencil: PencilNames): string {
  return printLine(line, (tag) => labelOf(tag, pencil.labels));
}

const field = (words: string): PencilToken => ({ type: 'field', words });
const note = (words: string): PencilToken => ({ type: 'note', words: `${words} ` });
