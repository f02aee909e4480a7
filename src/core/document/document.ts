/**
 * What templates and letters are made of, as plain JSON of the shape that ProseMirror's editors keep: nodes with
 * attributes, content and marks. Attributes that are absent are at their default. Both documents have these blocks, words
 * and looks; what only a template has stands in templateDocument, what only a letter has in copyDocument, and what may
 * stand in what in kinds.
 */

/** Where a block of a letter came from; a template's have neither. */
interface Whence {
  /** the place in the template, as in a filling's ids; absent: written by hand */
  origin?: string;
  /** written by hand: the place in a template it was written behind, to which it returns */
  behind?: string;
}

// Blocks, by the words and blocks that stand in them

/** Words of their own. */
export interface Paragraph<Word> {
  type: 'paragraph';
  attrs?: Whence;
  content: Word[];
}

/** A heading. */
export interface Heading<Word> {
  type: 'heading';
  /** 1 to 6 */
  attrs: Whence & { level: number };
  content: Word[];
}

/** A line across. */
export interface Rule {
  type: 'rule';
  attrs?: Whence;
  content?: undefined;
}

/** Blocks that are quoted. */
export interface Quote<Block> {
  type: 'quote';
  attrs?: Whence;
  content: Block[];
}

/** A list with bullets. */
export interface BulletList<Item> {
  type: 'bulletList';
  /** tight: no blank lines between items */
  attrs?: Whence & { tight?: boolean };
  content: Item[];
}

/** A list with numbers. */
export interface OrderedList<Item> {
  type: 'orderedList';
  /** start: its first number, 1 where absent */
  attrs?: Whence & { tight?: boolean; start?: number };
  content: Item[];
}

/** An item of a list. */
export interface ListItem<Block> {
  type: 'listItem';
  attrs?: Whence;
  content: Block[];
}

/** Its first row is its head where that says so. */
export interface Table<Row> {
  type: 'table';
  /** align: a column each */
  attrs: Whence & { align: Alignment[] };
  content: Row[];
}

/** A row of a table. */
export interface TableRow<Word> {
  type: 'tableRow';
  attrs?: Whence & { header?: boolean };
  content: TableCell<Word>[];
}

/** A cell of a row. */
export interface TableCell<Word> {
  type: 'tableCell';
  attrs?: undefined;
  content: Word[];
}

/** Words that stand as they are typed. */
export interface CodeBlock<Word> {
  type: 'codeBlock';
  attrs?: Whence & { language?: string };
  content: Word[];
}

/** Blocks with a look of their own: centred, large, in a colour. */
export interface StyledBlock<Block> {
  type: 'styled';
  attrs: Whence & { styles: Style[] };
  content: Block[];
}

// Words

/** Words with one look. */
export interface Text<Mark> {
  type: 'text';
  text: string;
  attrs?: undefined;
  marks?: Mark[];
}

/** A line break that is kept. */
export interface Break<Mark> {
  type: 'break';
  attrs?: undefined;
  marks?: Mark[];
}

/** @typeParam Address words with fields in a template, plain in a letter */
export interface Image<Address, Mark> {
  type: 'image';
  attrs: { source: Address; description: Address; width?: number; link?: Address; styles?: Style[] };
  marks?: Mark[];
}

// Looks

/** How words are set off. A link's address is words with fields in a template, plain in a letter. */
export type MarkOf<Address> =
  | { type: 'bold' | 'italic' | 'code' }
  | { type: 'style'; attrs: { style: Style } }
  | { type: 'link'; attrs: { address: Address; title?: string; button?: boolean; styles?: Style[] } };

/** The side that a column stands on; null for where it stands by itself. */
export type Alignment = 'left' | 'center' | 'right' | null;

/** The looks that words, pictures and blocks can have, in their one order. */
export const STYLES = [
  'small',
  'large',
  'underline',
  'center',
  'right',
  'madder',
  'ochre',
  'moss',
  'verdigris',
  'iris',
  'slate',
] as const;

export type Style = (typeof STYLES)[number];
