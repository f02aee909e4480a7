import { safeAddress } from '../fill/write/escape';
import { STYLES, type Style } from '../template/document';
import {
  joined,
  sortCopyMarks,
  type CopyAttrs,
  type CopyDocument,
  type CopyMark,
  type CopyNode,
  type CopyType,
} from './copyDocument';

/** What came is no fair copy; the message says why. */
export class UnreadableCopy extends Error {}

/** The largest fair copy that is read, in nodes, in characters of one text, and in depth. */
const MOST_NODES = 20_000;
const MOST_CHARACTERS = 200_000;
const DEEPEST = 50;

const BLOCKS: readonly CopyType[] = [
  'paragraph',
  'heading',
  'rule',
  'quote',
  'bulletList',
  'orderedList',
  'table',
  'codeBlock',
  'styled',
];
const WORDS: readonly CopyType[] = ['text', 'break', 'image', 'hole'];

/** What may stand in what. */
const INSIDE: Readonly<Record<CopyType, readonly CopyType[]>> = {
  doc: ['subject', ...BLOCKS],
  subject: ['text', 'hole'],
  paragraph: WORDS,
  heading: WORDS,
  codeBlock: WORDS,
  tableCell: WORDS,
  quote: BLOCKS,
  styled: BLOCKS,
  listItem: BLOCKS,
  bulletList: ['listItem'],
  orderedList: ['listItem'],
  table: ['tableRow'],
  tableRow: ['tableCell'],
  rule: [],
  text: [],
  break: [],
  image: [],
  hole: [],
};

const MARKS = new Set(['signature', 'value', 'link', 'style', 'bold', 'italic', 'code']);

/**
 * Reads a fair copy that came from outside: an editor's state, a device's store, a request. Everything in it is
 * checked against what a letter may contain, and attributes that are at their default are dropped, so that two
 * copies that say the same are the same.
 * @throws UnreadableCopy with a sentence when it is no fair copy
 */
export function readCopy(json: unknown): CopyDocument {
  const counted = { nodes: 0 };
  const document = readNode(json, ['doc'], counted, 0);
  const [subject, ...body] = document.content ?? [];
  if (subject?.type !== 'subject' || body.some(({ type }) => type === 'subject')) {
    throw new UnreadableCopy('A letter begins with its subject, and has one.');
  }
  return document as CopyDocument;
}

function readNode(
  json: unknown,
  allowed: readonly CopyType[],
  counted: { nodes: number },
  depth: number,
): CopyNode {
  const given = asObject(json);
  const type = given.type as CopyType;
  if (!allowed.includes(type)) throw new UnreadableCopy('Something in it stands where it has no place.');
  if (++counted.nodes > MOST_NODES || depth > DEEPEST) throw new UnreadableCopy('The letter is too large.');
  const node: CopyNode = { type };
  const attrs = readAttrs(type, asObject(given.attrs ?? {}));
  if (Object.keys(attrs).length) node.attrs = attrs;
  if (type === 'text') node.text = text(given.text);
  if (WORDS.includes(type)) {
    const marks = list(given.marks ?? []).flatMap(readMark);
    if (marks.length) node.marks = sortCopyMarks(marks);
  }
  const inside = INSIDE[type];
  if (inside.length) {
    const content = list(given.content ?? []).map((child) => readNode(child, inside, counted, depth + 1));
    node.content = inside === WORDS || type === 'subject' ? joined(content) : content;
  }
  return node;
}

function readAttrs(type: CopyType, given: Record<string, unknown>): CopyAttrs {
  const attrs: CopyAttrs = {};
  if (given.origin) attrs.origin = text(given.origin);
  else if (given.behind) attrs.behind = text(given.behind);
  switch (type) {
    case 'heading':
      attrs.level = Math.min(6, Math.max(1, whole(given.level) ?? 1));
      break;
    case 'orderedList':
    case 'bulletList': {
      if (given.tight === true) attrs.tight = true;
      const start = whole(given.start);
      if (type === 'orderedList' && start !== undefined && start !== 1) attrs.start = start;
      break;
    }
    case 'table':
      attrs.align = list(given.align ?? []).map((one) =>
        one === 'left' || one === 'center' || one === 'right' ? one : null,
      );
      break;
    case 'tableRow':
      if (given.header === true) attrs.header = true;
      break;
    case 'styled':
      attrs.styles = styles(given.styles);
      break;
    case 'image': {
      attrs.source = text(given.source);
      attrs.description = text(given.description ?? '');
      const width = whole(given.width);
      if (width !== undefined) attrs.width = width;
      const link = given.link ? safeAddress(text(given.link)) : undefined;
      if (link) attrs.link = link;
      const looks = styles(given.styles);
      if (looks.length) attrs.styles = looks;
      break;
    }
    case 'hole': {
      const kind = given.kind;
      attrs.id = text(given.id);
      attrs.kind = kind === 'blank' || kind === 'gap' || kind === 'unfinished' ? kind : 'field';
      attrs.label = text(given.label);
    }
  }
  return attrs;
}

function readMark(json: unknown): CopyMark[] {
  const { type, attrs: given } = asObject(json);
  if (!MARKS.has(type as string))
    throw new UnreadableCopy('Something in it is marked in a way that no letter is.');
  if (type === 'bold' || type === 'italic' || type === 'code' || type === 'signature') return [{ type }];
  const attrs = asObject(given);
  if (type === 'value') return [{ type, attrs: { id: text(attrs.id), said: text(attrs.said) } }];
  if (type === 'style') return styles([attrs.style]).map((style) => ({ type, attrs: { style } }));
  const address = safeAddress(text(attrs.address));
  if (!address) return [];
  const looks = styles(attrs.styles);
  return [
    {
      type: 'link',
      attrs: {
        address,
        ...(attrs.button === true ? { button: true } : {}),
        ...(looks.length ? { styles: looks } : {}),
      },
    },
  ];
}

function asObject(json: unknown): Record<string, unknown> {
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    throw new UnreadableCopy('This is not a letter.');
  return json as Record<string, unknown>;
}

function list(json: unknown): unknown[] {
  if (!Array.isArray(json)) throw new UnreadableCopy('This is not a letter.');
  return json;
}

function text(json: unknown): string {
  if (typeof json !== 'string') throw new UnreadableCopy('This is not a letter.');
  if (json.length > MOST_CHARACTERS) throw new UnreadableCopy('The letter is too large.');
  // A character that no text can hold would not be kept either.
  return json.replaceAll('\u0000', '');
}

function whole(json: unknown): number | undefined {
  return Number.isSafeInteger(json) && (json as number) >= 0 ? (json as number) : undefined;
}

function styles(json: unknown): Style[] {
  return Array.isArray(json) ? STYLES.filter((style) => json.includes(style)) : [];
}
