import type { HoleKind } from '../../document/copyDocument';
import { escapeWithBreaks } from './escape';
import { HtmlWriter } from './htmlWriter';
import { TextWriter } from './textWriter';
import type { BlockLook, ImageLook, Literal, MarkLook, PageWriter } from './writer';

/** Writes HTML and text in one go, so that each value is read and written out once. */
export class LetterWriter implements PageWriter {
  readonly keepsPlaces = false;
  readonly html = new HtmlWriter();
  readonly text = new TextWriter();

  /** What was written; where in the text the signature begins, where it ends with one. */
  end(): { text: string; signatureAt?: number; html: string } {
    const { text, html } = this;
    const written = { text: text.end(), html: html.end() };
    return text.signatureAt === undefined ? written : { ...written, signatureAt: text.signatureAt };
  }

  literal(words: Literal): void {
    this.html.literal(words);
    this.text.literal(words);
  }

  value(text: string, html = escapeWithBreaks(text)): void {
    this.html.value(text, html);
    this.text.value(text, html);
  }

  lineBreak(): void {
    this.html.lineBreak();
    this.text.lineBreak();
  }

  image(look: ImageLook): void {
    this.html.image(look);
    this.text.image(look);
  }

  beginMark(mark: MarkLook): void {
    this.html.beginMark(mark);
    this.text.beginMark(mark);
  }

  endMark(mark: MarkLook): void {
    this.html.endMark(mark);
    this.text.endMark(mark);
  }

  beginValue(): void {}

  endValue(): void {}

  hole(id: string, kind: HoleKind, label: string): void {
    this.html.hole(id, kind, label);
    this.text.hole(id, kind, label);
  }

  beginBlock(id: string, block: BlockLook): void {
    this.html.beginBlock(id, block);
    this.text.beginBlock(id, block);
  }

  endBlock(block: BlockLook): void {
    this.html.endBlock(block);
    this.text.endBlock(block);
  }

  rule(): void {
    this.html.rule();
    this.text.rule();
  }
}
