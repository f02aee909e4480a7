import type { Alignment, Mark, Style } from '../../template/document';

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
}

/** Takes the blocks of a page. Each block calls `inner` while it is open. */
export interface PageWriter extends WordWriter {
  paragraph(inner: () => void): void;
  heading(level: number, inner: () => void): void;
  rule(): void;
  quote(inner: () => void): void;
  list(look: { ordered: boolean; start: number; tight: boolean }, inner: () => void): void;
  item(inner: () => void): void;
  table(align: readonly Alignment[], inner: () => void): void;
  row(header: boolean, inner: () => void): void;
  cell(inner: () => void): void;
  code(inner: () => void): void;
  styled(styles: readonly Style[], inner: () => void): void;
}
