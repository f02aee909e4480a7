import type { HoleKind } from '../filled';
import { HtmlWriter } from './htmlWriter';
import { TextWriter } from './textWriter';
import type { BlockLook, ImageLook, Literal, MarkLook, PageWriter } from './writer';

/** Writes HTML and text in one go, so that each value is read and written out once. */
export class LetterWriter implements PageWriter {
  readonly html = new HtmlWriter();
  readonly text = new TextWriter();

  /** What was written; where in the text the signature begins, where it ends with one. */
  end(): { text: string; signatureAt?: number; html: string } {
    const { signatureAt } = this.text;
    return {
      text: this.text.end(),
      ...(signatureAt === undefined ? {} : { signatureAt }),
      html: this.html.end(),
    };
  }

  literal(words: Literal): void {
    this.html.literal(words);
    this.text.literal(words);
  }

  value(text: string): void {
    this.html.value(text);
    this.text.value(text);
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
    this.html.endBlock();
    this.text.endBlock(block);
  }

  rule(): void {
    this.html.rule();
    this.text.rule();
  }
}
