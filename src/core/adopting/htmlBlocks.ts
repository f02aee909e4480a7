import type { Block, Inline, ListItem, Mark, TableRow } from '../document/templateDocument';
import type { PictureWord } from './foreignPictures';

/** What holds blocks while HTML is read. */
type Holder =
  | { type: 'doc' | 'quote' | 'item' | 'cell'; tag: string; blocks: Block[]; header?: boolean }
  | { type: 'list'; tag: string; ordered: boolean; items: ListItem[] }
  | { type: 'table'; tag: string; rows: { header: boolean; cells: Block[][] }[] };

/** Deeper nesting is read as if it were not there: no letter needs it. */
const DEEPEST = 60;

const HEADING = /^h([1-6])$/;

/** Builds blocks from the tags and words of HTML in their order, whatever of them is missing or in a wrong place. */
export class HtmlBlocks {
  private readonly holders: Holder[] = [{ type: 'doc', tag: '', blocks: [] }];
  private line: Inline[] = [];
  private level: number | undefined;
  private pre = 0;
  private breaks = 0;

  words(text: string, marks: readonly Mark[]): void {
    const said = this.pre ? text : text.replace(/[ \t\r\n\f]+/g, ' ');
    if (this.pre) {
      said.split('\n').forEach((part, i) => {
        if (i > 0) this.line.push(withMarks({ type: 'break' }, marks));
        if (part) this.line.push(withMarks({ type: 'text', text: part }, marks));
      });
      return;
    }
    const last = this.line.at(-1);
    const begins = !last || last.type === 'break' || (last.type === 'text' && last.text.endsWith(' '));
    const rest = begins ? said.replace(/^ /, '') : said;
    if (!rest) return;
    if (rest !== ' ') this.breaks = 0;
    this.line.push(withMarks({ type: 'text', text: rest }, marks));
  }

  picture(word: PictureWord): void {
    this.breaks = 0;
    this.line.push(word);
  }

  /** One ends a line, two a paragraph. */
  lineBreak(marks: readonly Mark[]): void {
    if (++this.breaks > 1) return this.apart();
    if (this.line.length) this.line.push(withMarks({ type: 'break' }, marks));
  }

  rule(): void {
    this.apart();
    this.add({ type: 'rule' });
  }

  /** Ends the paragraph. */
  apart(): void {
    this.breaks = 0;
    const content = trimmed(this.line);
    this.line = [];
    if (content.length === 0) return;
    this.add(
      this.level === undefined
        ? { type: 'paragraph', content }
        : { type: 'heading', attrs: { level: this.level }, content },
    );
  }

  open(tag: string): void {
    if (this.holders.length > DEEPEST) return;
    const heading = HEADING.exec(tag)?.[1];
    if (heading) {
      this.apart();
      this.level = Number(heading);
    } else if (tag === 'pre') {
      this.apart();
      this.pre++;
    } else if (tag === 'blockquote') this.push({ type: 'quote', tag, blocks: [] });
    else if (tag === 'ul' || tag === 'ol') this.push({ type: 'list', tag, ordered: tag === 'ol', items: [] });
    else if (tag === 'li') {
      this.closeUpTo('list');
      if (this.top.type !== 'list') this.push({ type: 'list', tag: 'ul', ordered: false, items: [] });
      this.push({ type: 'item', tag, blocks: [] });
    } else if (tag === 'table') this.push({ type: 'table', tag, rows: [] });
    else if (tag === 'tr') {
      this.closeUpTo('table');
      if (this.top.type === 'table') this.top.rows.push({ header: false, cells: [] });
    } else if (tag === 'td' || tag === 'th') {
      this.closeUpTo('table');
      if (this.top.type === 'table') this.push({ type: 'cell', tag, blocks: [], header: tag === 'th' });
    }
  }

  close(tag: string): void {
    if (HEADING.test(tag)) {
      this.apart();
      this.level = undefined;
    } else if (tag === 'pre') {
      this.apart();
      this.pre = Math.max(0, this.pre - 1);
    } else if (this.holders.some((holder) => holder.tag === tag)) {
      let closed: string;
      do closed = this.pop();
      while (closed !== tag);
    }
  }

  end(): Block[] {
    while (this.holders.length > 1) this.pop();
    this.apart();
    return (this.holders[0] as { blocks: Block[] }).blocks;
  }

  private get top(): Holder {
    return this.holders.at(-1)!;
  }

  private push(holder: Holder): void {
    this.apart();
    this.holders.push(holder);
  }

  /** Closes what stands within the nearest list or table, if there is one. */
  private closeUpTo(type: 'list' | 'table'): void {
    const other = type === 'list' ? 'table' : 'list';
    const at = this.holders.findLastIndex((holder) => holder.type === type);
    const within = this.holders.findLastIndex((holder) => holder.type === other);
    if (at < 0 || at < within) return;
    while (this.holders.length > at + 1) this.pop();
    this.apart();
  }

  private pop(): string {
    this.apart();
    const holder = this.holders.pop()!;
    switch (holder.type) {
      case 'quote':
        if (holder.blocks.length) this.add({ type: 'quote', content: holder.blocks });
        break;
      case 'item':
        if (this.top.type === 'list' && holder.blocks.length)
          this.top.items.push({ type: 'listItem', content: holder.blocks });
        else holder.blocks.forEach((block) => this.add(block));
        break;
      case 'cell':
        if (this.top.type === 'table') {
          if (this.top.rows.length === 0) this.top.rows.push({ header: false, cells: [] });
          const row = this.top.rows.at(-1)!;
          row.cells.push(holder.blocks);
          row.header ||= holder.header === true;
        } else holder.blocks.forEach((block) => this.add(block));
        break;
      case 'list':
        if (holder.items.length)
          this.add({
            type: holder.ordered ? 'orderedList' : 'bulletList',
            attrs: { tight: true },
            content: holder.items,
          });
        break;
      case 'table':
        for (const block of tableOrBlocks(holder.rows)) this.add(block);
    }
    return holder.tag;
  }

  private add(block: Block): void {
    const { top } = this;
    if (top.type === 'list') top.items.push({ type: 'listItem', content: [block] });
    else if (top.type === 'table') {
      // Words between a table’s cells stand before it in every browser.
      const around = this.holders.at(-2);
      if (around && 'blocks' in around) around.blocks.push(block);
    } else top.blocks.push(block);
  }
}

/** A table of facts, or what stood in the cells of one that only arranges a page. */
function tableOrBlocks(rows: readonly { header: boolean; cells: Block[][] }[]): Block[] {
  const filled = rows.filter(({ cells }) => cells.some((cell) => cell.length));
  const columns = Math.max(0, ...filled.map(({ cells }) => cells.length));
  const isLine = (cell: readonly Block[]) =>
    cell.length === 0 || (cell.length === 1 && cell[0]!.type === 'paragraph');
  const isOfFacts =
    filled.length > 1 &&
    columns > 1 &&
    filled.every(({ cells }) => cells.length === columns && cells.every(isLine));
  if (!isOfFacts) return filled.flatMap(({ cells }) => cells.flat());
  const content = filled.map(({ cells }, i): TableRow => ({
    type: 'tableRow',
    ...(i === 0 ? { attrs: { header: true } } : {}),
    content: cells.map(([first]) => ({
      type: 'tableCell',
      content: first?.type === 'paragraph' ? first.content.filter(({ type }) => type !== 'break') : [],
    })),
  }));
  return [{ type: 'table', attrs: { align: Array.from({ length: columns }, () => null) }, content }];
}

function withMarks<Word extends { type: 'text'; text: string } | { type: 'break' }>(
  word: Word,
  marks: readonly Mark[],
): Inline {
  return marks.length ? { ...word, marks: [...marks] } : word;
}

/** Without spaces and breaks at its ends, the same look in one piece. */
function trimmed(line: readonly Inline[]): Inline[] {
  const words: Inline[] = [];
  for (const word of line) {
    const last = words.at(-1);
    const isSame =
      last?.type === 'text' &&
      word.type === 'text' &&
      JSON.stringify(last.marks ?? []) === JSON.stringify(word.marks ?? []);
    if (isSame) words[words.length - 1] = { ...last, text: last.text + word.text };
    else words.push(word);
  }
  const isEmpty = (word: Inline | undefined) =>
    word?.type === 'break' || (word?.type === 'text' && word.text.trim() === '');
  while (isEmpty(words[0])) words.shift();
  while (isEmpty(words.at(-1))) words.pop();
  return words.map((word, i) => {
    if (word.type !== 'text') return word;
    const text = i === 0 ? word.text.trimStart() : word.text;
    const ends = i === words.length - 1 || words[i + 1]!.type === 'break';
    return { ...word, text: ends ? text.trimEnd() : text };
  });
}
