import type { HoleKind } from '../filled';
import { holeInWords, type WordWriter } from './writer';

/** Writes a subject or a header: one line, where a line break is a space. */
export class LineWriter implements WordWriter {
  protected out = '';

  literal(plain: string): void {
    this.out += plain;
  }

  value(text: string): void {
    this.out += text;
  }

  lineBreak(): void {
    this.out += ' ';
  }

  marked(_: unknown, inner: () => void): void {
    inner();
  }

  link(_: { address?: string }, inner: () => void): void {
    inner();
  }

  image({ description }: { description: string }): void {
    this.out += description;
  }

  beginValue(): void {}

  endValue(): void {}

  hole(_: string, kind: HoleKind, label: string): void {
    this.value(holeInWords(kind, label));
  }

  /** What was written, without control characters and with single spaces. */
  end(): string {
    return this.out
      .replace(/[\p{Cc}\u2028\u2029]+/gu, ' ')
      .replace(/ {2,}/g, ' ')
      .trim();
  }
}

/** Writes an address: a value inside it is encoded, unless the address begins with it. */
export class AddressWriter extends LineWriter {
  override value(text: string): void {
    this.out += this.out === '' ? text : encodeURIComponent(text);
  }

  override link(look: { address?: string }, inner: () => void): void {
    if (this.out === '' && look.address) this.out += look.address;
    else inner();
  }
}
