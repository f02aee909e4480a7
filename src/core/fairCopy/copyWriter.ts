import type { HoleKind } from '../fill/filled';
import type { BlockLook, ImageLook, Literal, MarkLook, PageWriter } from '../fill/write/writer';
import {
  joined,
  sortCopyMarks,
  wordsOf,
  type CopyAttrs,
  type CopyDocument,
  type CopyMark,
  type CopyNode,
  type CopyType,
} from './copyDocument';

/** Writes a fair copy: the third of the writers, beside HTML and text. */
export class CopyWriter implements PageWriter {
  readonly keepsPlaces = true;
  private nodes: CopyNode[] = [];
  /** the blocks that are being written, with what stood before each */
  private readonly open: { id: string; before: CopyNode[] }[] = [];
  private marks: readonly CopyMark[] = [];
  private inCode = false;
  /** how many words stood in the line when the value began that is being written */
  private valueBegan = 0;

  /** What `write` writes, as the words of the subject: one line. */
  subject(write: () => void): void {
    const before = this.nodes;
    this.nodes = [];
    write();
    const words = this.nodes.flatMap((node) =>
      node.type === 'break'
        ? [{ ...node, type: 'text' as const, text: ' ' }]
        : node.type === 'image'
          ? []
          : [withoutSignature(node)],
    );
    this.nodes = [...before, { type: 'subject', content: joined(words) }];
  }

  end(): CopyDocument {
    return { type: 'doc', content: this.nodes };
  }

  literal({ plain }: Literal): void {
    this.add({ type: 'text', text: this.inCode ? plain : plain.replaceAll('\n', ' ') });
  }

  value(text: string): void {
    text.split('\n').forEach((line, i) => {
      if (i > 0) this.lineBreak();
      this.add({ type: 'text', text: line });
    });
  }

  lineBreak(): void {
    this.add({ type: 'break' });
  }

  image({ styles, ...look }: ImageLook): void {
    this.add({ type: 'image', attrs: { ...look, ...(styles?.length ? { styles: [...styles] } : {}) } });
  }

  beginMark(mark: MarkLook): void {
    this.marks = [...this.marks, copyMark(mark)];
  }

  endMark(): void {
    this.marks = this.marks.slice(0, -1);
  }

  beginValue(): void {
    this.valueBegan = this.nodes.length;
  }

  endValue(id: string): void {
    const written = this.nodes.splice(this.valueBegan);
    const said = written.map(wordsOf).join('');
    for (const node of written) {
      const marks = sortCopyMarks([...(node.marks ?? []), { type: 'value', attrs: { id, said } }]);
      this.nodes.push({ ...node, marks });
    }
  }

  hole(id: string, kind: HoleKind, label: string): void {
    this.add({ type: 'hole', attrs: { id, kind, label } });
  }

  rule(id: string): void {
    this.nodes.push({ type: 'rule', attrs: { origin: id } });
  }

  beginBlock(id: string, { type }: BlockLook): void {
    this.open.push({ id, before: this.nodes });
    this.nodes = [];
    if (type === 'code') this.inCode = true;
  }

  /** A block that turned out empty is left out, as in the letter. */
  endBlock(block: BlockLook): void {
    const { id, before } = this.open.pop()!;
    const content = this.nodes;
    this.nodes = before;
    switch (block.type) {
      case 'paragraph':
        if (content.some((node) => node.type !== 'text' || node.text!.trim())) {
          this.words('paragraph', { origin: id }, content);
        }
        return;
      case 'heading':
        return this.words('heading', { origin: id, level: block.level }, content);
      case 'code':
        this.inCode = false;
        return this.words('codeBlock', { origin: id }, content);
      case 'cell':
        this.nodes.push({ type: 'tableCell', content });
        return;
      case 'list': {
        const { ordered, start, tight } = block;
        const attrs = {
          origin: id,
          ...(tight ? { tight } : {}),
          ...(ordered && start !== 1 ? { start } : {}),
        };
        return this.blocks(ordered ? 'orderedList' : 'bulletList', attrs, content);
      }
      case 'row':
        return this.blocks('tableRow', { origin: id, ...(block.header ? { header: true } : {}) }, content);
      case 'table':
        return this.blocks('table', { origin: id, align: [...block.align] }, content);
      case 'styled':
        return this.blocks('styled', { origin: id, styles: [...block.styles] }, content);
      case 'quote':
        return this.blocks('quote', { origin: id }, content);
      case 'item':
        return this.blocks('listItem', { origin: id }, content);
    }
  }

  private add(node: CopyNode): void {
    this.nodes.push(this.marks.length ? { ...node, marks: sortCopyMarks(this.marks) } : node);
  }

  private words(type: CopyType, attrs: CopyAttrs, content: CopyNode[]): void {
    this.nodes.push({ type, attrs, content: joined(content) });
  }

  private blocks(type: CopyType, attrs: CopyAttrs, content: CopyNode[]): void {
    if (content.length) this.nodes.push({ type, attrs, content });
  }
}

/** A subject is no place to sign. */
function withoutSignature(node: CopyNode): CopyNode {
  const { marks = [], ...rest } = node;
  const kept = marks.filter(({ type }) => type !== 'signature');
  return kept.length ? { ...rest, marks: kept } : rest;
}

function copyMark(mark: MarkLook): CopyMark {
  if (mark.type === 'style') return { type: 'style', attrs: { style: mark.style } };
  if (mark.type !== 'link') return { type: mark.type };
  const { address, button, styles } = mark;
  const attrs = { address, ...(button ? { button } : {}), ...(styles.length ? { styles: [...styles] } : {}) };
  return { type: 'link', attrs };
}
