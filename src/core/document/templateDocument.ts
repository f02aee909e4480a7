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
export const DOCUMENT_SCHEMA = 2;

/**
 * A template's words. What repeats or hides (section, when) holds children of the kind it stands among: blocks, list
 * items, table rows or words. The text form (template/text) is another face of the same.
 */
export interface TemplateDocument {
  type: 'doc';
  content: Block[];
}

// Structure

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

export interface Branch<Child> {
  type: 'branch';
  content: Child[];
}

export interface PassageUse {
  type: 'passage';
  attrs: { name: string };
  marks?: Mark[];
}

export interface Comment {
  type: 'comment';
  attrs: { words: string };
  marks?: Mark[];
}

export type Structured<Child> = Section<Structured<Child>> | When<Structured<Child>> | Comment | Child;

// Blocks

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
export type ListItem = ListItemOf<Block>;
export type ListChild = Structured<ListItem>;
export type BulletList = BulletListOf<ListChild>;
export type OrderedList = OrderedListOf<ListChild>;
export type TableRow = TableRowOf<Inline>;
export type Row = Structured<TableRow>;
export type TableCell = TableCellOf<Inline>;
export type Table = TableOf<Row>;
export type StyledBlock = StyledBlockOf<Block>;

// Words

export type Inline = Structured<PlainInline | PassageUse>;

/** Words with fields where no formatting can be: a subject, a header, an address, a description. */
export type Line = Inline[];

type PlainInline = Text | Break | Image | Atom;
export type Text = TextOf<Mark>;
export type Break = BreakOf<Mark>;
export type Image = ImageOf<Line, Mark>;
export type Mark = MarkOf<Line>;

/** What a tag puts in the text. */
export type Atom = Field | Blank | Gap | Unfinished | Signature;

export interface Field {
  type: 'field';
  /** path: "." for the value a section stands in */
  attrs: { path: string; steps: Step[] };
  marks?: Mark[];
}

export type BlankType =
  { kind: 'text' | 'long text' | 'number' | 'money' | 'date' | 'yes/no' } | { kind: 'choice'; of: string[] };

export interface Blank {
  type: 'blank';
  attrs: { name: string; answer?: BlankType; default?: string; steps: Step[] };
  marks?: Mark[];
}

export interface Gap {
  type: 'gap';
  attrs: { words: string };
  marks?: Mark[];
}

export interface Unfinished {
  type: 'unfinished';
  attrs: { words: string };
  marks?: Mark[];
}

interface Signature {
  type: 'signature';
  marks?: Mark[];
}
