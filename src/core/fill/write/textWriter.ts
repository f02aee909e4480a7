import type { Alignment } from '../../template/document';
import type { HoleKind } from '../filled';
import {
  endsOpen,
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
  text: string;
  /** stands between its blocks or items */
  separator: '\n' | '\n\n';
  /** whether the text has more than one line */
  broken: boolean;
  /** the number of a list's next item; -1 where its items have none */
  number: number;
}

/**
 * Writes plain text that reads as if typed: marks dropped, links as "words (address)", one blank line between
 * blocks, table cells aligned and two spaces apart. Lines are not wrapped.
 */
export class TextWriter implements PageWriter {
  readonly keepsPlaces = false;
  private readonly page = container('\n\n', undefined);
  /** the innermost container that is open */
  private into = this.page;
  private line = '';
  /** whether there are breaks in the line, and whether a space ends it */
  private broken = false;
  private endsOpen = false;
  /** where in the line the words of the open link begin */
  private linkBegan = 0;
  /** from where to where the signature stands in the line */
  private signature: { from: number; to: number } | undefined;
  /** where in the text the signature begins, while nothing follows it */
  private signedFrom: number | undefined;
  /** the cells of the rows of the open table */
  private rows: string[][] = [];

  end(): string {
    const { text } = this.page;
    return text && `${text}\n`;
  }

  /** Where the signature begins that the text ends with; undefined where it does not end with one. */
  get signatureAt(): number | undefined {
    return this.signedFrom;
  }

  literal({ plain, broken, open }: Literal): void {
    this.line += plain;
    this.broken ||= broken;
    this.endsOpen = open;
  }

  /** Words without a line break and without a space at their end. */
  plain(text: string): void {
    this.line += text;
    this.endsOpen = false;
  }

  value(text: string): void {
    this.line += text;
    this.broken ||= text.includes('\n');
    this.endsOpen = endsOpen(text);
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
    const bare = mark.address.replace(/^(?:mailto|tel):/i, '');
    if (words !== bare && words !== mark.address) this.value(words ? ` (${bare})` : bare);
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
      case 'list': {
        this.into = container(block.tight ? '\n' : '\n\n', this.into);
        if (block.ordered) this.into.number = block.start;
        return;
      }
      case 'item':
        this.into = container(this.into.separator, this.into);
        return;
      case 'quote':
        this.into = container('\n\n', this.into);
        return;
      case 'table':
        this.rows = [];
        return;
      case 'row':
        this.rows.push([]);
    }
  }

  endBlock(block: BlockLook): void {
    switch (block.type) {
      case 'paragraph':
      case 'heading':
      case 'code': {
        const { broken, signature } = this;
        if (signature) return this.signed(signature);
        return this.block(this.lineEnd(), broken);
      }
      case 'cell':
        this.rows.at(-1)!.push(this.lineEnd().replaceAll('\n', ' '));
        return;
      case 'item': {
        const item = this.leave();
        const list = this.into;
        const marker = list.number < 0 ? '- ' : `${list.number++}. `;
        return this.block(indent(item, marker), item.broken);
      }
      case 'list': {
        const { text, broken } = this.leave();
        return this.block(text, broken);
      }
      case 'quote': {
        const quote = this.leave();
        if (quote.text) this.block(indent(quote, '> ', '> '), quote.broken);
        return;
      }
      case 'table':
        return this.block(this.aligned(block.align), true);
    }
  }

  /** A paragraph with the signature in it, which may be signed only at the end of the page. */
  private signed({ from, to }: { from: number; to: number }): void {
    const { line } = this;
    this.signature = undefined;
    const [before, after] = [tidy(line.slice(0, from)), tidy(line.slice(from, to))];
    const ownLine = before === '' || /\n[ \t]*$/.test(line.slice(0, from));
    if (!after || !ownLine || line.slice(to).trim() || this.into !== this.page) {
      return this.block(this.lineEnd(), true);
    }
    this.lineEnd();
    this.block(before ? `${before}\n${after}` : after, true);
    this.signedFrom = this.page.text.length - after.length;
  }

  private block(text: string, broken: boolean): void {
    if (!text) return;
    const { into } = this;
    this.signedFrom = undefined;
    into.broken ||= broken || into.text !== '';
    into.text = into.text ? into.text + into.separator + text : text;
  }

  /** Goes out of the innermost container, which it gives. */
  private leave(): Container {
    const { into } = this;
    this.into = into.around!;
    return into;
  }

  private lineEnd(): string {
    const { line, broken, endsOpen } = this;
    this.line = '';
    this.broken = false;
    // To look into the line itself would copy it together.
    return broken || endsOpen ? tidy(line) : line;
  }

  private aligned(align: readonly Alignment[]): string {
    const width = (text: string) => [...text].length;
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

/** Without spaces at the ends of lines, and without empty lines around. */
function tidy(text: string): string {
  return /^\n|[ \t\n]$|[ \t]\n/.test(text) ? text.replace(/[ \t]+$/gm, '').replace(/^\n+|\n+$/g, '') : text;
}

/** @param rest what stands before the lines after the first; by default as many spaces as `first` is long */
function indent({ text, broken }: Container, first: string, rest?: string): string {
  if (!broken) return text ? first + text : first.trimEnd();
  const before = rest ?? ' '.repeat(first.length);
  return text
    .split('\n')
    .map((line, i) => (i === 0 ? first : line ? before : before.trimEnd()) + line)
    .join('\n')
    .trimEnd();
}

function container(separator: Container['separator'], around: Container | undefined): Container {
  return { around, text: '', separator, broken: false, number: -1 };
}
