import type { Alignment, Mark, Style } from '../../template/document';
import { HtmlWriter } from './htmlWriter';
import { TextWriter } from './textWriter';
import type { ImageLook, LinkLook, PageWriter } from './writer';

/** Writes HTML and text in one go, so that each value is read and written out once. */
export class LetterWriter implements PageWriter {
  readonly html = new HtmlWriter();
  readonly text = new TextWriter();

  literal(plain: string, html: string): void {
    this.html.literal(plain, html);
    this.text.literal(plain);
  }

  value(text: string): void {
    this.html.value(text);
    this.text.value(text);
  }

  lineBreak(): void {
    this.html.lineBreak();
    this.text.lineBreak();
  }

  marked(mark: Exclude<Mark, { type: 'link' }>, inner: () => void): void {
    this.html.marked(mark, inner);
  }

  link(look: LinkLook, inner: () => void): void {
    this.both((page, run) => page.link(look, run), inner);
  }

  image(look: ImageLook): void {
    this.html.image(look);
    this.text.image(look);
  }

  paragraph(inner: () => void): void {
    this.both((page, run) => page.paragraph(run), inner);
  }

  heading(level: number, inner: () => void): void {
    this.both((page, run) => page.heading(level, run), inner);
  }

  rule(): void {
    this.html.rule();
    this.text.rule();
  }

  quote(inner: () => void): void {
    this.both((page, run) => page.quote(run), inner);
  }

  list(look: { ordered: boolean; start: number; tight: boolean }, inner: () => void): void {
    this.both((page, run) => page.list(look, run), inner);
  }

  item(inner: () => void): void {
    this.both((page, run) => page.item(run), inner);
  }

  table(align: readonly Alignment[], inner: () => void): void {
    this.both((page, run) => page.table(align, run), inner);
  }

  row(header: boolean, inner: () => void): void {
    this.both((page, run) => page.row(header, run), inner);
  }

  cell(inner: () => void): void {
    this.both((page, run) => page.cell(run), inner);
  }

  code(inner: () => void): void {
    this.both((page, run) => page.code(run), inner);
  }

  styled(styles: readonly Style[], inner: () => void): void {
    this.html.styled(styles, inner);
  }

  /** Opens the block in one writer around the other's; the words inside go to both at once. */
  private both(open: (page: PageWriter, inner: () => void) => void, inner: () => void): void {
    open(this.html, () => open(this.text, inner));
  }
}
