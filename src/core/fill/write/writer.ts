import type { CopyPart, HoleKind } from '../../document/copyDocument';
import type { Image, MarkOf } from '../../document/document';
import { escapeHtml } from './escape';

/**
 * How words are set off: as in a letter, whose links have passed safeAddress. A signature looks like other words; a
 * mail's text says where it begins.
 */
export type MarkLook = MarkOf<string> | { type: 'signature'; attrs: { id: string } };

/** What a picture is, without its place. */
export type ImageLook = Image<string, never>['attrs'];

type Holder = Exclude<CopyPart, { type: 'doc' | 'subject' | 'rule' }>;
type WithoutContent<Part> = Part extends Part ? Omit<Part, 'content'> : never;

/** A block of a letter that holds words or blocks, without them. */
export type BlockLook = WithoutContent<Holder>;

/** Words of a template, looked at once and not at each filling. */
export interface Literal {
  type: 'words';
  plain: string;
  html: string;
  /** whether there are line breaks among them, and whether they end in a space */
  broken: boolean;
  open: boolean;
}

/** Words as the writers take them: looked at and escaped once. */
export function literal(plain: string): Literal {
  return {
    type: 'words',
    plain,
    html: escapeHtml(plain),
    broken: plain.includes('\n'),
    open: /[ \t]$/.test(plain),
  };
}

/** Takes the words of a line: a subject, a heading, a paragraph, a cell. */
export interface WordWriter {
  /** whether it keeps from which place of the letter values and blocks come; else the places are not worked out */
  readonly keepsPlaces: boolean;
  literal(words: Literal): void;
  /**
   * a value: escaped, and never read as anything but words
   * @param html what escapeWithBreaks makes of it, where that is known: the text itself when nothing is to be escaped
   */
  value(text: string, html?: string): void;
  lineBreak(): void;
  image(look: ImageLook): void;
  /** what is written until its end stands under the mark */
  beginMark(mark: MarkLook): void;
  endMark(mark: MarkLook): void;
  /** what is written until its end is what a field says; `id` is that of its note */
  beginValue(): void;
  endValue(id: string): void;
  /** something is missing here */
  hole(id: string, kind: HoleKind, label: string): void;
}

/** How a hole reads where it cannot be drawn: what is missing in brackets, what is made up as it is. */
export function holeInWords(kind: HoleKind, label: string): string {
  return kind === 'field' || kind === 'blank' ? `[${label}]` : label;
}

/**
 * Takes the blocks of a page. What is written between the beginning and the end of a block stands in it; `id` names
 * the place in the letter.
 */
export interface PageWriter extends WordWriter {
  beginBlock(id: string, block: BlockLook): void;
  endBlock(block: BlockLook): void;
  rule(id: string): void;
}
