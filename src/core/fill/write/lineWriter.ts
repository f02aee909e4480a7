import type { HoleKind } from '../../document/copyDocument';
import { asWordsOfHeader } from '../../addressing/addresses';
import { diallable } from '../formats/phone';
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

/** Writes a line of mail addresses, in which a value is an address or words, never syntax. */
export class MailboxWriter extends LineWriter {
  override value(text: string): void {
    this.out += asWordsOfHeader(text.replace(/[\p{Cc}\u2028\u2029]+/gu, ' '));
  }
}

/**
 * Writes a link's address. A value that it begins with is taken as it is; inside it values are encoded by their place:
 * path and query by RFC 3986, mailto by RFC 6068, and a telephone number is the international one of RFC 3966. A link is
 * its address.
 */
export class AddressWriter extends LineWriter {
  private inLink = false;

  /** @param home the locale whose country a number without + is read in */
  constructor(private readonly home: string) {
    super();
  }

  override value(text: string): void {
    if (!this.inLink) this.out += this.out === '' ? text : this.encoded(text);
  }

  private encoded(text: string): string {
    if (/^tel:/i.test(this.out)) return diallable(text, this.home);
    if (!/^mailto:/i.test(this.out)) return encodeURIComponent(text);
    const encoded = encodeURIComponent(text.replace(/\r\n?|\n/g, '\r\n'));
    return this.out.includes('?') ? encoded : encoded.replaceAll('%40', '@');
  }

  override beginMark(mark: MarkLook): void {
    if (mark.type !== 'link' || this.out !== '') return;
    this.out = mark.attrs.address;
    this.inLink = true;
  }

  override endMark(): void {
    this.inLink = false;
  }
}
