import type { Condition, Step } from './tags/step';

/**
 * A template's words as a document: plain JSON of the shape the editor and the database keep. Structure that
 * repeats or hides (section, when) holds children of the kind it stands among: blocks, list items, table rows or
 * inline words. The text form (text/) is another face of the same model.
 */
export const DOCUMENT_SCHEMA = 1;

export interface TemplateDocument {
  type: 'doc';
  content: Block[];
}

// Structure

export interface Section<Child> {
  type: 'section';
  path: string;
  steps: Step[];
  inverted: boolean;
  content: Child[];
}

export interface When<Child> {
  type: 'when';
  condition: Condition;
  content: Child[];
  otherwise?: Child[];
}

export interface PassageUse {
  type: 'passage';
  name: string;
  marks?: Mark[];
}

export interface Comment {
  type: 'comment';
  words: string;
  marks?: Mark[];
}

export type Structured<Child> = Section<Structured<Child>> | When<Structured<Child>> | Comment | Child;

// Blocks

export type Block = Structured<PlainBlock | PassageUse>;

type PlainBlock =
  Paragraph | Heading | Rule | Quote | BulletList | OrderedList | Table | CodeBlock | StyledBlock;

interface Paragraph {
  type: 'paragraph';
  content: Inline[];
}

interface Heading {
  type: 'heading';
  level: number;
  content: Inline[];
}

interface Rule {
  type: 'rule';
}

interface Quote {
  type: 'quote';
  content: Block[];
}

export type ListChild = Structured<ListItem>;

export interface BulletList {
  type: 'bulletList';
  /** no blank lines between items */
  tight: boolean;
  content: ListChild[];
}

export interface OrderedList {
  type: 'orderedList';
  tight: boolean;
  start: number;
  content: ListChild[];
}

export interface ListItem {
  type: 'listItem';
  content: Block[];
}

export type Alignment = 'left' | 'center' | 'right' | null;

export interface Table {
  type: 'table';
  align: Alignment[];
  header: TableCell[];
  content: Structured<TableRow>[];
}

export interface TableRow {
  type: 'tableRow';
  content: TableCell[];
}

export interface TableCell {
  type: 'tableCell';
  content: Inline[];
}

interface CodeBlock {
  type: 'code';
  language: string;
  content: Inline[];
}

/** `::: {.center}` … `:::` */
export interface StyledBlock {
  type: 'styled';
  styles: Style[];
  content: Block[];
}

// Words

export type Inline = Structured<PlainInline | PassageUse>;

/** Words with fields where no formatting can be: a subject, a header, an address, a description. */
export type Line = Inline[];

type PlainInline = Text | Break | Image | Atom;

/** What a tag puts in the text. */
export type Atom = Field | Blank | Gap | Unfinished | Signature;

export interface Text {
  type: 'text';
  text: string;
  marks?: Mark[];
}

/** A line break that is kept. */
export interface Break {
  type: 'break';
  marks?: Mark[];
}

export interface Image {
  type: 'image';
  source: Line;
  description: Line;
  width?: number;
  link?: Line;
  styles?: Style[];
  marks?: Mark[];
}

export interface Field {
  type: 'field';
  /** "." for the value a section stands in */
  path: string;
  steps: Step[];
  marks?: Mark[];
}

export type BlankType =
  { kind: 'text' | 'long text' | 'number' | 'money' | 'date' | 'yes/no' } | { kind: 'choice'; of: string[] };

export interface Blank {
  type: 'blank';
  name: string;
  answer?: BlankType;
  default?: string;
  steps: Step[];
  marks?: Mark[];
}

export interface Gap {
  type: 'gap';
  words: string;
  marks?: Mark[];
}

export interface Unfinished {
  type: 'unfinished';
  words: string;
  marks?: Mark[];
}

interface Signature {
  type: 'signature';
  marks?: Mark[];
}

// Looks

export type Mark =
  | { type: 'bold' | 'italic' | 'code' }
  | { type: 'style'; style: Style }
  | { type: 'link'; address: Line; title?: string; button: boolean; styles: Style[] };

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
