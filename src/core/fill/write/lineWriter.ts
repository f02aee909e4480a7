import type { HoleKind } from '../filled';
import { holeInWords, type Literal, type MarkLook, type WordWriter } from './writer';

/** Most lines hold nothing to be cleaned, which one look tells. */
const UNCLEAN = /[\p{Cc}\u2028\u2029]| {2}|^\s|\s$/u;

/** Writes a subject or a header: one line, where a line break is a space. */
export class LineWriter implements WordWriter {
  readonly keepsPlaces = false;
  protected out = '';

  literal({ plain }: Literal): void {
    this.out += plain;
  }

  value(text: string): void {
    this.out += text;
  }

  lineBreak(): void {
    this.out += ' ';
  }

  image({ description }: { description: string }): void {
    this.out += description;
  }

  beginMark(_mark: MarkLook): void {}

  endMark(): void {}

  beginValue(): void {}

  endValue(): void {}

  hole(_: string, kind: HoleKind, label: string): void {
    this.value(holeInWords(kind, label));
  }

  /** What was written, without control characters and with single spaces. */
  end(): string {
    const { out } = this;
    return UNCLEAN.test(out)
      ? out
          .replace(/[\p{Cc}\u2028\u2029]+/gu, ' ')
          .replace(/ {2,}/g, ' ')
          .trim()
      : out;
  }
}

/** Writes an address: a value inside it is encoded, unless the address begins with it. A link is its address. */
export class AddressWriter extends LineWriter {
  private inLink = false;

  override value(text: string): void {
    if (!this.inLink) this.out += this.out === '' ? text : encodeURIComponent(text);
  }

  override beginMark(mark: MarkLook): void {
    if (mark.type !== 'link' || this.out !== '') return;
    this.out = mark.address;
    this.inLink = true;
  }

  override endMark(): void {
    this.inLink = false;
  }
}
