import type { HoleKind } from '../fill/filled';
import type { ImageLook, LinkLook, ListLook, PageWriter } from '../fill/write/writer';
import type { Alignment, Mark, Style } from '../template/document';
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
  private nodes: CopyNode[] = [];
  private marks: readonly CopyMark[] = [];
  private inCode = false;
  /** how many words stood in the line when the value began that is being written */
  private valueBegan = 0;

  /** What `write` writes, as the words of the subject: one line. */
  subject(write: () => void): void {
    this.words('subject', {}, write);
    const subject = this.nodes.at(-1)!;
    subject.content = joined(
      subject.content!.flatMap((node) =>
        node.type === 'break'
          ? [{ ...node, type: 'text' as const, text: ' ' }]
          : node.type === 'image'
            ? []
            : [node],
      ),
    );
  }

  end(): CopyDocument {
    return { type: 'doc', content: this.nodes };
  }

  literal(plain: string): void {
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

  marked(mark: Exclude<Mark, { type: 'link' }>, inner: () => void): void {
    this.under(
      mark.type === 'style' ? { type: 'style', attrs: { style: mark.style } } : { type: mark.type },
      inner,
    );
  }

  link({ address, button, styles }: LinkLook, inner: () => void): void {
    const attrs = {
      address,
      ...(button ? { button } : {}),
      ...(styles.length ? { styles: [...styles] } : {}),
    };
    this.under({ type: 'link', attrs }, inner);
  }

  image({ styles, ...look }: ImageLook): void {
    this.add({ type: 'image', attrs: { ...look, ...(styles?.length ? { styles: [...styles] } : {}) } });
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

  paragraph(id: string, inner: () => void): void {
    this.words('paragraph', { origin: id }, inner);
  }

  heading(id: string, level: number, inner: () => void): void {
    this.words('heading', { origin: id, level }, inner);
  }

  rule(id: string): void {
    this.nodes.push({ type: 'rule', attrs: { origin: id } });
  }

  quote(id: string, inner: () => void): void {
    this.blocks('quote', { origin: id }, inner);
  }

  list(id: string, { ordered, start, tight }: ListLook, inner: () => void): void {
    const attrs = { origin: id, ...(tight ? { tight } : {}), ...(ordered && start !== 1 ? { start } : {}) };
    this.blocks(ordered ? 'orderedList' : 'bulletList', attrs, inner);
  }

  item(id: string, inner: () => void): void {
    this.blocks('listItem', { origin: id }, inner);
  }

  table(id: string, align: readonly Alignment[], inner: () => void): void {
    this.blocks('table', { origin: id, align: [...align] }, inner);
  }

  row(id: string, header: boolean, inner: () => void): void {
    this.blocks('tableRow', { origin: id, ...(header ? { header } : {}) }, inner);
  }

  cell(inner: () => void): void {
    this.nodes.push({ type: 'tableCell', content: this.inner(inner) });
  }

  code(id: string, inner: () => void): void {
    this.inCode = true;
    this.words('codeBlock', { origin: id }, inner);
    this.inCode = false;
  }

  styled(id: string, styles: readonly Style[], inner: () => void): void {
    this.blocks('styled', { origin: id, styles: [...styles] }, inner);
  }

  private add(node: CopyNode): void {
    this.nodes.push(this.marks.length ? { ...node, marks: sortCopyMarks(this.marks) } : node);
  }

  private under(mark: CopyMark, inner: () => void): void {
    const before = this.marks;
    this.marks = [...before, mark];
    inner();
    this.marks = before;
  }

  /** A paragraph that turned out empty is left out, as in the letter. */
  private words(type: CopyType, attrs: CopyAttrs, inner: () => void): void {
    const content = joined(this.inner(inner));
    if (type === 'paragraph' && !content.some((node) => node.type !== 'text' || node.text!.trim())) return;
    this.nodes.push({ type, ...(Object.keys(attrs).length ? { attrs } : {}), content });
  }

  private blocks(type: CopyType, attrs: CopyAttrs, inner: () => void): void {
    const content = this.inner(inner);
    if (content.length) this.nodes.push({ type, attrs, content });
  }

  private inner(write: () => void): CopyNode[] {
    const before = this.nodes;
    this.nodes = [];
    write();
    const written = this.nodes;
    this.nodes = before;
    return written;
  }
}
