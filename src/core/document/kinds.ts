import type { Part } from './eachPart';
import { safeAddress } from './safeAddress';
import type { Mark } from './templateDocument';
import type { CopyMark, CopyNode } from './copyDocument';
import { STYLES, type Alignment, type Style } from './document';

/** What came is no document of ours; the message says why. */
export class UnreadableDocument extends Error {}

/** An attribute of a node or mark. */
interface Attribute {
  /** what an editor begins with */
  initial: unknown;
  /**
   * Its value in its one form; undefined where it is at its default.
   * @throws UnreadableDocument where it cannot be understood
   */
  read: (value: unknown) => unknown;
}

type Attributes = Readonly<Record<string, Attribute>>;

/** What the children of a structure are: of the kind that it stands among. */
export const SAME_KIND = 'same kind';

/** What a kind of node may stand among, hold and say. */
export interface NodeKind {
  /** what it may stand among */
  groups: readonly ('block' | 'item' | 'row' | 'word')[];
  /** what may stand in it, as a ProseMirror content expression of kinds and groups; empty: nothing; or SAME_KIND */
  content: string;
  attributes: Attributes;
  /** the marks its words may have, as ProseMirror names them; absent: all */
  marks?: string;
}

/** The kinds of one document. */
export interface DocumentSchema<NodeName extends string = string, MarkName extends string = string> {
  nodes: Readonly<Record<NodeName, NodeKind>>;
  /** in the order in which they stand at a word */
  marks: Readonly<Record<MarkName, Attributes>>;
}

// Attributes

const MOST_CHARACTERS = 200_000;

function unreadable(): never {
  throw new UnreadableDocument('This is not a letter.');
}

/** Text as it may be kept; a character that no text can hold would not be kept either. */
export function readText(value: unknown): string {
  if (typeof value !== 'string') unreadable();
  if (value.length > MOST_CHARACTERS) throw new UnreadableDocument('The letter is too large.');
  return value.replaceAll('\u0000', '');
}

const words = (initial?: string): Attribute => ({
  initial: initial ?? '',
  read: (value) => readText(value ?? initial),
});

/** Words that are only there where they are not empty. */
const note = (): Attribute => ({ initial: '', read: (value) => readText(value ?? '') || undefined });

const whole = (value: unknown) =>
  Number.isSafeInteger(value) && (value as number) >= 0 ? (value as number) : undefined;

const flag = (): Attribute => ({ initial: false, read: (value) => value === true || undefined });

/** What must be a list. */
export const listOf = (value: unknown): unknown[] => (Array.isArray(value) ? value : unreadable());

const stylesOf = (value: unknown): Style[] =>
  Array.isArray(value) ? STYLES.filter((style) => value.includes(style)) : [];

const STYLES_OR_NONE: Attribute = {
  initial: [],
  read: (value) => {
    const styles = stylesOf(value);
    return styles.length ? styles : undefined;
  },
};

const LEVEL: Attribute = {
  initial: 1,
  read: (value) => Math.min(6, Math.max(1, whole(value) ?? 1)),
};

const FIRST_NUMBER: Attribute = {
  initial: 1,
  read: (value) => {
    const start = whole(value);
    return start === 1 ? undefined : start;
  },
};

const SIDES: Attribute = {
  initial: [],
  read: (value) =>
    listOf(value ?? []).map((one): Alignment =>
      one === 'left' || one === 'center' || one === 'right' ? one : null,
    ),
};

const WIDTH: Attribute = { initial: null, read: whole };

/** What tags say: read by the text form, which everything that is kept is written in first. */
const said = (initial: unknown): Attribute => ({ initial, read: (value) => value ?? initial });
const saidOrNot = (): Attribute => ({ initial: null, read: (value) => value ?? undefined });

/** Where a picture or link leads: words with fields in a template; in a letter an address that may be followed. */
const LINE = said([]);
const LINE_OR_NONE = saidOrNot();
const ADDRESS_OR_NONE: Attribute = {
  initial: null,
  read: (value) => (value ? safeAddress(readText(value)) : undefined),
};

// Blocks and looks of both documents

const kind = (
  group: NodeKind['groups'][number] | undefined,
  content: string,
  attributes: Attributes = {},
): NodeKind => ({ groups: group ? [group] : [], content, attributes });

const BLOCKS = {
  paragraph: kind('block', 'word*'),
  heading: kind('block', 'word*', { level: LEVEL }),
  rule: kind('block', ''),
  quote: kind('block', 'block+'),
  bulletList: kind('block', 'item+', { tight: flag() }),
  orderedList: kind('block', 'item+', { tight: flag(), start: FIRST_NUMBER }),
  listItem: kind('item', 'block+'),
  table: kind('block', 'row+', { align: SIDES }),
  tableRow: kind('row', 'tableCell+', { header: flag() }),
  codeBlock: kind('block', 'word*', { language: note() }),
  styled: kind('block', 'block+', { styles: { initial: [], read: stylesOf } }),
} as const;

const TABLE_CELL = kind(undefined, 'word*');

const WORDS = {
  text: kind('word', ''),
  break: kind('word', ''),
} as const;

const image = (address: Attribute, description: Attribute, link: Attribute) =>
  kind('word', '', { source: address, description, width: WIDTH, link, styles: STYLES_OR_NONE });

const looks = (address: Attribute) => ({
  link: { address, title: note(), button: flag(), styles: STYLES_OR_NONE },
  style: { style: { initial: 'large', read: (value: unknown) => stylesOf([value])[0] } },
  italic: {},
  bold: {},
  code: {},
});

// The two documents

const CAME: Attribute = { initial: null, read: (value) => (value ? readText(value) : undefined) };

/** Blocks that say where in a template they came from. */
const ofLetter = <Kinds extends Record<string, NodeKind>>(kinds: Kinds): Record<keyof Kinds, NodeKind> => {
  const made = {} as Record<keyof Kinds, NodeKind>;
  for (const name in kinds) {
    const { attributes, ...kind } = kinds[name]!;
    made[name] = { ...kind, attributes: { origin: CAME, behind: CAME, ...attributes } };
  }
  return made;
};

/** The schema of a letter. */
export const LETTER: DocumentSchema<CopyNode['type'], CopyMark['type']> = {
  nodes: {
    doc: kind(undefined, 'subject block+'),
    subject: { ...kind(undefined, '(text | hole)*'), marks: 'value' },
    ...ofLetter(BLOCKS),
    tableCell: TABLE_CELL,
    ...WORDS,
    image: image(words(), words(''), ADDRESS_OR_NONE),
    hole: kind('word', '', {
      id: words(),
      kind: {
        initial: 'field',
        read: (value) => (['blank', 'gap', 'unfinished'].includes(value as string) ? value : 'field'),
      },
      label: words(),
    }),
  },
  marks: { signature: { id: words('') }, value: { id: words(), said: words() }, ...looks(ADDRESS_OR_NONE) },
};

/** A structure stands among any kind, and holds the same. */
const structure = (content: string, attributes: Attributes): NodeKind => ({
  groups: ['block', 'item', 'row', 'word'],
  content,
  attributes,
});

/** The schema of a template. */
export const TEMPLATE: DocumentSchema<'doc' | Part['type'], Mark['type']> = {
  nodes: {
    doc: kind(undefined, 'block+'),
    ...BLOCKS,
    codeBlock: { ...BLOCKS.codeBlock, content: '(text | field | blank)*', marks: '' },
    tableCell: TABLE_CELL,
    section: structure(SAME_KIND, { path: said('.'), steps: said([]), inverted: flag() }),
    when: structure('branch branch?', {
      condition: said({ join: 'and', clauses: [{ path: 'invoice.is_paid', steps: [] }] }),
    }),
    branch: kind(undefined, SAME_KIND),
    comment: structure('', { words: words('') }),
    // A passage is paragraphs or words: it cannot be an item or a row.
    passage: { groups: ['block', 'word'], content: '', attributes: { passage: words('') } },
    ...WORDS,
    image: image(LINE, LINE, LINE_OR_NONE),
    field: kind('word', '', { path: said('client.name'), steps: said([]) }),
    blank: kind('word', '', {
      name: words('Answer'),
      answer: saidOrNot(),
      default: saidOrNot(),
      steps: said([]),
    }),
    gap: kind('word', '', { words: words('') }),
    unfinished: kind('word', '', { words: words('') }),
    signature: kind('word', ''),
  },
  marks: looks(LINE),
};
