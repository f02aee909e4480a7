import type { Alignment } from '../../template/document';
import type { HoleKind } from '../filled';
import { holeInWords, type ImageLook, type LinkLook, type ListLook, type PageWriter } from './writer';

interface Row {
  cells: string[];
}

interface List {
  ordered: boolean;
  number: number;
  tight: boolean;
}

/**
 * Writes plain text that reads as if typed: marks dropped, links as "words (address)", one blank line between
 * blocks, table cells aligned and two spaces apart. Lines are not wrapped.
 */
export class TextWriter implements PageWriter {
  /** the blocks of each container that is open, outermost first */
  private readonly open: string[][] = [[]];
  private line = '';
  private readonly lists: List[] = [];
  private rows: Row[] = [];

  end(): string {
    const text = this.open[0]!.join('\n\n');
    return text ? `${text}\n` : '';
  }

  literal(plain: string): void {
    this.line += plain;
  }

  value(text: string): void {
    this.line += text;
  }

  lineBreak(): void {
    this.line += '\n';
  }

  marked(_: unknown, inner: () => void): void {
    inner();
  }

  link({ address }: LinkLook, inner: () => void): void {
    const start = this.line.length;
    inner();
    const words = this.line.slice(start);
    const bare = address.replace(/^(?:mailto|tel):/i, '');
    if (words.trim() !== bare && words.trim() !== address) this.line += words.trim() ? ` (${bare})` : bare;
  }

  image({ description, link }: ImageLook): void {
    this.line += description;
    if (link !== undefined) this.line += description ? ` (${link})` : link;
  }

  beginValue(): void {}

  endValue(): void {}

  hole(_: string, kind: HoleKind, label: string): void {
    this.value(holeInWords(kind, label));
  }

  paragraph(_id: string, inner: () => void): void {
    this.block(this.inline(inner));
  }

  heading(_id: string, _level: number, inner: () => void): void {
    this.block(this.inline(inner));
  }

  rule(): void {
    this.block('---');
  }

  quote(_id: string, inner: () => void): void {
    const blocks = this.container(inner);
    if (blocks.length) this.block(indent(blocks.join('\n\n'), '> ', '> '));
  }

  list(_id: string, { ordered, start, tight }: ListLook, inner: () => void): void {
    this.lists.push({ ordered, number: start, tight });
    const items = this.container(inner);
    this.lists.pop();
    if (items.length) this.block(items.join(tight ? '\n' : '\n\n'));
  }

  item(_id: string, inner: () => void): void {
    const list = this.lists.at(-1)!;
    const marker = list.ordered ? `${list.number++}. ` : '- ';
    const text = this.container(inner).join(list.tight ? '\n' : '\n\n');
    this.open.at(-1)!.push(indent(text, marker, ' '.repeat(marker.length)));
  }

  table(_id: string, align: readonly Alignment[], inner: () => void): void {
    const outer = this.rows;
    this.rows = [];
    inner();
    this.block(this.aligned(align));
    this.rows = outer;
  }

  row(_id: string, _header: boolean, inner: () => void): void {
    this.rows.push({ cells: [] });
    inner();
  }

  cell(inner: () => void): void {
    this.rows.at(-1)!.cells.push(this.inline(inner).replaceAll('\n', ' '));
  }

  code(_id: string, inner: () => void): void {
    this.block(this.inline(inner));
  }

  styled(_id: string, _styles: unknown, inner: () => void): void {
    inner();
  }

  private block(text: string): void {
    if (text) this.open.at(-1)!.push(text);
  }

  private inline(inner: () => void): string {
    const before = this.line;
    this.line = '';
    inner();
    const text = tidy(this.line);
    this.line = before;
    return text;
  }

  private container(inner: () => void): string[] {
    const blocks: string[] = [];
    this.open.push(blocks);
    inner();
    this.open.pop();
    return blocks;
  }

  private aligned(align: readonly Alignment[]): string {
    const width = (text: string) => [...text].length;
    const widths = align.map((_, i) => Math.max(0, ...this.rows.map((row) => width(row.cells[i] ?? ''))));
    return this.rows
      .map(({ cells }) =>
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

/** Without spaces at the ends of lines, and without empty lines around. Most text has none, which is told quickly. */
function tidy(text: string): string {
  const clean = !/^\n|[ \t\n]$/.test(text) && !text.includes(' \n') && !text.includes('\t\n');
  return clean ? text : text.replace(/[ \t]+$/gm, '').replace(/^\n+|\n+$/g, '');
}

function indent(text: string, first: string, rest: string): string {
  if (!text.includes('\n')) return (first + text).trimEnd();
  return text
    .split('\n')
    .map((line, i) => (i === 0 ? first : line ? rest : rest.trimEnd()) + line)
    .join('\n')
    .trimEnd();
}
