import type {
  CopyBlock,
  CopyDocument,
  CopyMark,
  CopyPart,
  CopyWord,
  HoleKind,
} from '../document/copyDocument';
import { wordsOf } from '../document/eachNode';
import { joined, sortMarks } from '../document/marks';
import type { BlockLook, ImageLook, Literal, MarkLook, PageWriter } from '../fill/write/writer';

/** Writes a fair copy: the third of the writers, beside HTML and text. */
export class CopyWriter implements PageWriter {
  readonly keepsPlaces = true;
  /** the parts that are written where no block is open, or in the innermost that is */
  private parts: CopyPart[] = [];
  /** the words of the line that is being written */
  private line: CopyWord[] = [];
  /** the blocks that are being written, with what stood before each */
  private readonly open: { id: string; before: CopyPart[] }[] = [];
  private marks: readonly CopyMark[] = [];
  private inCode = false;
  /** how many words stood in the line when the value began that is being written */
  private valueBegan = 0;

  /** What `write` writes, as the words of the subject: one line. */
  subject(write: () => void): void {
    write();
    const words = this.lineEnd().flatMap((node): CopyWord[] =>
      node.type === 'break'
        ? [{ ...node, type: 'text', text: ' ' }]
        : node.type === 'image'
          ? []
          : [withoutSignature(node)],
    );
    this.parts.push({ type: 'subject', content: joined(words) });
  }

  end(): CopyDocument {
    return { type: 'doc', content: this.parts as CopyDocument['content'] };
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

  image(attrs: ImageLook): void {
    this.add({ type: 'image', attrs });
  }

  beginMark(mark: MarkLook): void {
    this.marks = [...this.marks, mark];
  }

  endMark(): void {
    this.marks = this.marks.slice(0, -1);
  }

  beginValue(): void {
    this.valueBegan = this.line.length;
  }

  endValue(id: string): void {
    const written = this.line.splice(this.valueBegan);
    const said = written.map((node) => wordsOf(node)).join('');
    for (const node of written) {
      const marks: CopyMark[] = [...(node.marks ?? []), { type: 'value', attrs: { id, said } }];
      this.line.push({ ...node, marks: sortMarks(marks) });
    }
  }

  hole(id: string, kind: HoleKind, label: string): void {
    this.add({ type: 'hole', attrs: { id, kind, label } });
  }

  rule(id: string): void {
    this.parts.push({ type: 'rule', attrs: { origin: id } });
  }

  beginBlock(id: string, { type }: BlockLook): void {
    this.open.push({ id, before: this.parts });
    this.parts = [];
    if (type === 'codeBlock') this.inCode = true;
  }

  /** A block that turned out empty is left out, as in the letter. */
  endBlock(block: BlockLook): void {
    const { id, before } = this.open.pop()!;
    const parts = this.parts;
    this.parts = before;
    const attrs = { origin: id, ...block.attrs };
    switch (block.type) {
      case 'paragraph': {
        const content = this.lineEnd();
        if (content.some((node) => node.type !== 'text' || node.text.trim()))
          this.parts.push({ type: 'paragraph', attrs, content });
        return;
      }
      case 'heading':
      case 'codeBlock':
        this.inCode = false;
        this.parts.push({ ...block, attrs, content: this.lineEnd() } as CopyBlock);
        return;
      case 'tableCell':
        this.parts.push({ type: 'tableCell', content: this.lineEnd() });
        return;
      default:
        if (parts.length) this.parts.push({ ...block, attrs, content: parts } as CopyBlock);
    }
  }

  private add(node: CopyWord): void {
    this.line.push(this.marks.length ? { ...node, marks: sortMarks(this.marks) } : node);
  }

  private lineEnd(): CopyWord[] {
    const words = joined(this.line);
    this.line = [];
    return words;
  }
}

/** A subject is no place to sign. */
function withoutSignature(node: CopyWord): CopyWord {
  const { marks = [], ...rest } = node;
  const kept = marks.filter(({ type }) => type !== 'signature');
  return kept.length ? { ...rest, marks: kept } : rest;
}
