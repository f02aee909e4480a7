import type { Alignment, Mark, Style } from '../../template/document';
import { HtmlWriter } from './htmlWriter';
import { TextWriter } from './textWriter';
import type { HoleKind } from '../filled';
import type { ImageLook, LinkLook, ListLook, PageWriter } from './writer';

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

  paragraph(id: string, inner: () => void): void {
    this.both((page, run) => page.paragraph(id, run), inner);
  }

  heading(id: string, level: number, inner: () => void): void {
    this.both((page, run) => page.heading(id, level, run), inner);
  }

  beginValue(): void {}

  endValue(): void {}

  hole(id: string, kind: HoleKind, label: string): void {
    this.html.hole(id, kind, label);
    this.text.hole(id, kind, label);
  }

  rule(): void {
    this.html.rule();
    this.text.rule();
  }

  quote(id: string, inner: () => void): void {
    this.both((page, run) => page.quote(id, run), inner);
  }

  list(id: string, look: ListLook, inner: () => void): void {
    this.both((page, run) => page.list(id, look, run), inner);
  }

  item(id: string, inner: () => void): void {
    this.both((page, run) => page.item(id, run), inner);
  }

  table(id: string, align: readonly Alignment[], inner: () => void): void {
    this.both((page, run) => page.table(id, align, run), inner);
  }

  row(id: string, header: boolean, inner: () => void): void {
    this.both((page, run) => page.row(id, header, run), inner);
  }

  cell(inner: () => void): void {
    this.both((page, run) => page.cell(run), inner);
  }

  code(id: string, inner: () => void): void {
    this.both((page, run) => page.code(id, run), inner);
  }

  styled(id: string, styles: readonly Style[], inner: () => void): void {
    this.html.styled(id, styles, inner);
  }

  /** Opens the block in one writer around the other's; the words inside go to both at once. */
  private both(open: (page: PageWriter, inner: () => void) => void, inner: () => void): void {
    open(this.html, () => open(this.text, inner));
  }
}
