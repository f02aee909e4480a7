import type { Alignment, Mark, Style } from '../../template/document';
import type { HoleKind } from '../filled';

/** A link as it will stand in a letter; the address has passed safeAddress. */
export interface LinkLook {
  address: string;
  button: boolean;
  styles: readonly Style[];
}

export interface ImageLook {
  source: string;
  description: string;
  width?: number;
  link?: string;
  styles?: readonly Style[];
}

export interface ListLook {
  ordered: boolean;
  start: number;
  tight: boolean;
}

/** Takes the words of a line: a subject, a heading, a paragraph, a cell. */
export interface WordWriter {
  /** words of the template: as they are, and escaped for HTML */
  literal(plain: string, html: string): void;
  /** a value: escaped here, and never read as anything but words */
  value(text: string): void;
  lineBreak(): void;
  marked(mark: Exclude<Mark, { type: 'link' }>, inner: () => void): void;
  link(look: LinkLook, inner: () => void): void;
  image(look: ImageLook): void;
  /** what is written until its end is what a field says; `id` is that of its note */
  beginValue(id: string): void;
  endValue(id: string): void;
  /** something is missing here */
  hole(id: string, kind: HoleKind, label: string): void;
}

/** How a hole reads where it cannot be drawn: what is missing in brackets, what is made up as it is. */
export function holeInWords(kind: HoleKind, label: string): string {
  return kind === 'field' || kind === 'blank' ? `[${label}]` : label;
}

/**
 * Takes the blocks of a page. Each block calls `inner` while it is open; `id` names the place in the letter.
 */
export interface PageWriter extends WordWriter {
  paragraph(id: string, inner: () => void): void;
  heading(id: string, level: number, inner: () => void): void;
  rule(id: string): void;
  quote(id: string, inner: () => void): void;
  list(id: string, look: ListLook, inner: () => void): void;
  item(id: string, inner: () => void): void;
  table(id: string, align: readonly Alignment[], inner: () => void): void;
  row(id: string, header: boolean, inner: () => void): void;
  cell(inner: () => void): void;
  code(id: string, inner: () => void): void;
  styled(id: string, styles: readonly Style[], inner: () => void): void;
}
