import type {
  Break as BreakOf,
  BulletList as BulletListOf,
  CodeBlock,
  Heading,
  Image as ImageOf,
  ListItem as ListItemOf,
  MarkOf,
  OrderedList as OrderedListOf,
  Paragraph,
  Quote,
  Rule,
  StyledBlock as StyledBlockOf,
  Table as TableOf,
  TableCell as TableCellOf,
  TableRow as TableRowOf,
  Text as TextOf,
} from './document';
import type { Condition, Step } from './step';

/** What a document kept in the database is written in: another number means that it is to be converted first. */
export const DOCUMENT_SCHEMA = 3;

/**
 * A template's words. What repeats or hides (section, when) holds children of the kind it stands among: blocks, list
 * items, table rows or words. The text form (template/text) is another face of the same.
 */
export interface TemplateDocument {
  type: 'doc';
  content: Block[];
}

// Structure

/** What stands there once for each of a list, once for a value; or, inverted, where there is none. */
export interface Section<Child> {
  type: 'section';
  attrs: { path: string; steps: Step[]; inverted?: boolean };
  content: Child[];
}

/** What stands there when the condition holds and, where there is a second branch, otherwise. */
export interface When<Child> {
  type: 'when';
  attrs: { condition: Condition };
  content: [Branch<Child>, Branch<Child>?];
}

/** One side of a condition. */
export interface Branch<Child> {
  type: 'branch';
  content: Child[];
}

/** A place where a passage stands. */
export interface PassageUse {
  type: 'passage';
  /** which: its key as it is kept, its name as text says it */
  attrs: { passage: string };
  marks?: Mark[];
}

/** What is said to whoever writes templates, and never filled. */
export interface Comment {
  type: 'comment';
  attrs: { words: string };
  marks?: Mark[];
}

/** Something of a kind, or a structure that holds some of it. */
export type Structured<Child> = Section<Structured<Child>> | When<Structured<Child>> | Comment | Child;

// Blocks

/** A block of a template. */
export type Block = Structured<
  | Paragraph<Inline>
  | Heading<Inline>
  | Rule
  | Quote<Block>
  | BulletList
  | OrderedList
  | Table
  | CodeBlock<Inline>
  | StyledBlock
  | PassageUse
>;
/** An item of a template's list. */
export type ListItem = ListItemOf<Block>;
/** What stands in a template's list. */
export type ListChild = Structured<ListItem>;
/** A template's list with bullets. */
export type BulletList = BulletListOf<ListChild>;
/** A template's list with numbers. */
export type OrderedList = OrderedListOf<ListChild>;
/** A row of a template's table. */
export type TableRow = TableRowOf<Inline>;
/** What stands in a template's table. */
export type Row = Structured<TableRow>;
/** A cell of a template's row. */
export type TableCell = TableCellOf<Inline>;
/** A template's table. */
export type Table = TableOf<Row>;
/** Blocks of a template with a look of their own. */
export type StyledBlock = StyledBlockOf<Block>;

// Words

/** What stands in a line of a template. */
export type Inline = Structured<PlainInline | PassageUse>;

/** Words with fields where no formatting can be: a subject, a header, an address, a description. */
export type Line = Inline[];

type PlainInline = Text | Break | Image | Atom;
/** Words of a template with one look. */
export type Text = TextOf<Mark>;
/** A kept line break of a template. */
export type Break = BreakOf<Mark>;
/** A picture whose address and description may hold fields. */
export type Image = ImageOf<Line, Mark>;
/** How words of a template are set off. */
export type Mark = MarkOf<Line>;

/** What a tag puts in the text. */
export type Atom = Field | Blank | Gap | Unfinished | Signature;

/** A smart field: a path to a fact, and what is done to it. */
export interface Field {
  type: 'field';
  /** path: "." for the value a section stands in */
  attrs: { path: string; steps: Step[] };
  marks?: Mark[];
}

/** What answers a blank. */
export type BlankType =
  { kind: 'text' | 'long text' | 'number' | 'money' | 'date' | 'yes/no' } | { kind: 'choice'; of: string[] };

/** A question that is asked when the letter is written. */
export interface Blank {
  type: 'blank';
  attrs: { name: string; answer?: BlankType; default?: string; steps: Step[] };
  marks?: Mark[];
}

/** A place where a field is still to be put. */
export interface Gap {
  type: 'gap';
  attrs: { words: string };
  marks?: Mark[];
}

/** A made-up part that is still to be replaced. */
export interface Unfinished {
  type: 'unfinished';
  attrs: { words: string };
  marks?: Mark[];
}

interface Signature {
  type: 'signature';
  marks?: Mark[];
}
