import stringWidth from 'string-width';
import type { Alignment } from '../../document/document';
import type { HoleKind } from '../../document/copyDocument';
import {
  holeInWords,
  type BlockLook,
  type ImageLook,
  type Literal,
  type MarkLook,
  type PageWriter,
} from './writer';

/** What is written into: the page, a list, an item, a quotation. */
interface Container {
  around: Container | undefined;
  /** what its first line begins with */
  first: string;
  /** what its other lines begin with, with all that is around it */
  prefix: string;
  /** whether something was written into it; what turns out empty is left out */
  begun: boolean;
  /** whether there are no empty lines between its blocks or items */
  tight: boolean;
  /** the number of a list's next item; -1 where its items have none */
  number: number;
}

const LATIN = /^[\x20-\x7e\xa0-\u024f’‘“”–£€]*$/;

/**
 * Writes plain text that reads as if typed: marks dropped, links as "words (address)", one blank line between
 * blocks, table cells aligned and two spaces apart. Lines are not wrapped.
 */
export class TextWriter implements PageWriter {
  readonly keepsPlaces = false;
  private out = '';
  /** the innermost container that is open; the page's own is the outermost */
  private into = container(undefined, '', '', false);
  private line = '';
  /** whether there are breaks in the line */
  private broken = false;
  /** whether a space may end it, and the value that ends it: to look into the line itself would copy it together */
  private open = false;
  private last = '';
  /** where in the line the words of the open link begin */
  private linkBegan = 0;
  /** from where to where the signature stands in the line */
  private signature: { from: number; to: number } | undefined;
  /** where in the text the signature begins, while nothing follows it */
  private signedFrom: number | undefined;
  /** the cells of the rows of the open table */
  private rows: string[][] = [];

  end(): string {
    return this.out && `${this.out}\n`;
  }

  /** Where the signature begins that the text ends with; undefined where it does not end with one. */
  get signatureAt(): number | undefined {
    return this.signedFrom;
  }

  literal({ plain, broken, open }: Literal): void {
    this.line += plain;
    if (broken) this.broken = true;
    this.open = open;
    this.last = '';
  }

  value(text: string, html?: string): void {
    this.line += text;
    if (text) this.last = text;
    // Where nothing was escaped there is no break either.
    if (html !== text && text.includes('\n')) this.broken = true;
  }

  lineBreak(): void {
    this.line += '\n';
    this.broken = true;
  }

  image({ description, link }: ImageLook): void {
    const address = link === undefined ? '' : description ? ` (${link})` : link;
    this.value(description + address);
  }

  beginMark({ type }: MarkLook): void {
    if (type === 'link') this.linkBegan = this.line.length;
    else if (type === 'signature') this.signature = { from: this.line.length, to: Infinity };
  }

  endMark(mark: MarkLook): void {
    if (mark.type === 'signature' && this.signature) this.signature.to = this.line.length;
    if (mark.type !== 'link') return;
    const words = this.line.slice(this.linkBegan).trim();
    const { address } = mark.attrs;
    const bare = address.replace(/^(?:mailto|tel):/i, '');
    if (words !== bare && words !== address) this.value(words ? ` (${bare})` : bare);
  }

  beginValue(): void {}

  endValue(): void {}

  hole(_: string, kind: HoleKind, label: string): void {
    this.value(holeInWords(kind, label));
  }

  rule(): void {
    this.block('---', false);
  }

  beginBlock(_id: string, block: BlockLook): void {
    switch (block.type) {
      case 'bulletList':
      case 'orderedList':
        this.into = container(this.into, '', '', block.attrs?.tight ?? false);
        if (block.type === 'orderedList') this.into.number = block.attrs?.start ?? 1;
        return;
      case 'listItem': {
        const list = this.into;
        const marker = list.number < 0 ? '- ' : `${list.number++}. `;
        this.into = container(list, marker, list.number < 0 ? '  ' : ' '.repeat(marker.length), list.tight);
        return;
      }
      case 'quote':
        this.into = container(this.into, '> ', '> ', false);
        return;
      case 'table':
        this.rows = [];
        return;
      case 'tableRow':
        this.rows.push([]);
    }
  }

  endBlock(block: BlockLook): void {
    switch (block.type) {
      case 'paragraph':
      case 'heading':
      case 'codeBlock': {
        const { broken, signature } = this;
        if (signature) return this.signed(signature);
        return this.block(this.lineEnd(), broken);
      }
      case 'tableCell':
        this.rows.at(-1)!.push(this.lineEnd().replaceAll('\n', ' '));
        return;
      case 'listItem':
        if (!this.into.begun) this.out += next(this.into).trimEnd();
        this.into = this.into.around!;
        return;
      case 'bulletList':
      case 'orderedList':
      case 'quote':
        this.into = this.into.around!;
        return;
      case 'table':
        return this.block(this.aligned(block.attrs.align), true);
    }
  }

  /** A paragraph with the signature in it, which may be signed only at the end of the page. */
  private signed({ from, to }: { from: number; to: number }): void {
    const { line } = this;
    this.signature = undefined;
    const [before, after] = [tidy(line.slice(0, from)), tidy(line.slice(from, to))];
    const ownLine = before === '' || /\n[ \t]*$/.test(line.slice(0, from));
    if (!after || !ownLine || line.slice(to).trim() || this.into.around) {
      return this.block(this.lineEnd(), true);
    }
    this.lineEnd();
    this.block(before ? `${before}\n${after}` : after, true);
    this.signedFrom = this.out.length - after.length;
  }

  private block(text: string, broken: boolean): void {
    if (!text) return;
    const { into } = this;
    this.signedFrom = undefined;
    this.out += next(into);
    this.out += broken && into.prefix ? indented(text, into.prefix) : text;
  }

  private lineEnd(): string {
    const { line, last } = this;
    const untidy = this.broken || (last ? SPACE_AT_END.test(last) : this.open);
    this.line = '';
    this.last = '';
    this.broken = false;
    this.open = false;
    return untidy ? tidy(line) : line;
  }

  private aligned(align: readonly Alignment[]): string {
    // A character of Chinese or an emoji is as wide as two letters.
    const width = (text: string) => (LATIN.test(text) ? text.length : stringWidth(text));
    const widths = align.map((_, i) => Math.max(0, ...this.rows.map((row) => width(row[i] ?? ''))));
    return this.rows
      .map((cells) =>
        widths
          .map((wide, i) => {
            const space = wide - width(cells[i] ?? '');
            const before = align[i] === 'right' ? space : align[i] === 'center' ? space >> 1 : 0;
            return ' '.repeat(before) + (cells[i] ?? '') + ' '.repeat(space - before);
          })
          .join('  ')
          .trimEnd(),
      )
      .join('\n');
  }
}

const SPACE_AT_END = /[ \t]$/;

/** Without spaces at the ends of lines, and without empty lines around. */
function tidy(text: string): string {
  return /^\n|[ \t\n]$|[ \t]\n/.test(text) ? text.replace(/[ \t]+$/gm, '').replace(/^\n+|\n+$/g, '') : text;
}

/** What stands before the next block or item of a container, which it begins where nothing was written into it. */
function next(into: Container): string {
  if (into.begun) {
    const { tight, prefix } = into;
    if (!prefix) return tight ? '\n' : '\n\n';
    return tight ? '\n' + prefix : '\n' + prefix.trimEnd() + '\n' + prefix;
  }
  into.begun = true;
  return into.around ? next(into.around) + into.first : into.first;
}

function indented(text: string, prefix: string): string {
  const empty = prefix.trimEnd();
  return text.replace(/\n([^\n]?)/g, (_, next: string) => (next ? `\n${prefix}${next}` : `\n${empty}`));
}

/** @param rest what its lines after the first begin with, inside what is around it */
function container(around: Container | undefined, first: string, rest: string, tight: boolean): Container {
  const prefix = around ? around.prefix + rest : rest;
  return { around, first, prefix, begun: false, tight, number: -1 };
}
