import type {
  Block,
  Inline,
  Line,
  ListChild,
  Mark,
  Row,
  Section,
  TemplateDocument,
  When,
} from '../document/templateDocument';
import { printTag } from '../template/tags/printTag';
import type { Tag } from '../template/tags/tag';
import { openingOf, printLine } from '../template/text/printLine';

/** A template’s words as a letter that shows each tag as its text form has it: for whoever reads it elsewhere. */
export function tagsAsWords(document: TemplateDocument): TemplateDocument {
  return { type: 'doc', content: blocks(document.content) };
}

/** A line with its tags as words. */
export function lineAsWords(line: Line): Line {
  return [words(plain(line))];
}

function plain(line: Line): string {
  return printLine(line, printTag, (text) => text);
}

function words(text: string, marks?: readonly Mark[]): Inline {
  return { type: 'text', text, ...marked(marks) };
}

function marked(marks: readonly Mark[] = []): { marks?: Mark[] } {
  return marks.length ? { marks: marks.map(mark) } : {};
}

function mark(one: Mark): Mark {
  return one.type === 'link'
    ? { ...one, attrs: { ...one.attrs, address: lineAsWords(one.attrs.address) } }
    : one;
}

const paragraph = (text: string): Block => ({ type: 'paragraph', content: [words(text)] });

/** What a structure holds, between its tags. @param own a tag in a piece of its own, where it stands */
function between<Child>(
  node: Section<Child> | When<Child>,
  own: (tag: string) => Child,
  inside: (children: Child[]) => Child[],
): Child[] {
  const open = own(openingOf(node, printTag));
  if (node.type === 'section')
    return [open, ...inside(node.content), own(printTag({ type: 'close', path: node.attrs.path }))];
  const [then, otherwise] = node.content;
  const other = otherwise ? [own(printTag({ type: 'otherwise' })), ...inside(otherwise.content)] : [];
  return [open, ...inside(then.content), ...other, own(printTag({ type: 'close when' }))];
}

function blocks(content: readonly Block[]): Block[] {
  return content.flatMap((block): Block[] => {
    switch (block.type) {
      case 'section':
      case 'when':
        return between<Block>(block, paragraph, blocks);
      case 'comment':
      case 'passage':
        return [paragraph(printTag(block))];
      case 'paragraph':
      case 'heading':
      case 'codeBlock':
        return [{ ...block, content: line(block.content) }];
      case 'quote':
      case 'styled':
        return [{ ...block, content: blocks(block.content) }];
      case 'bulletList':
      case 'orderedList':
        return [{ ...block, content: items(block.content) }];
      case 'table':
        return [{ ...block, content: rows(block.content, block.attrs.align.length) }];
      default:
        return [block];
    }
  });
}

function items(content: readonly ListChild[]): ListChild[] {
  const own = (tag: string): ListChild => ({ type: 'listItem', content: [paragraph(tag)] });
  return content.flatMap((child): ListChild[] => {
    if (child.type === 'section' || child.type === 'when') return between<ListChild>(child, own, items);
    if (child.type === 'comment') return [own(printTag(child))];
    return [{ ...child, content: blocks(child.content) }];
  });
}

function rows(content: readonly Row[], columns: number): Row[] {
  const own = (tag: string): Row => ({
    type: 'tableRow',
    content: Array.from({ length: columns }, (_, at) => ({
      type: 'tableCell',
      content: at === 0 ? [words(tag)] : [],
    })),
  });
  return content.flatMap((row): Row[] => {
    if (row.type === 'section' || row.type === 'when')
      return between<Row>(row, own, (children) => rows(children, columns));
    if (row.type === 'comment') return [own(printTag(row))];
    return [{ ...row, content: row.content.map((cell) => ({ ...cell, content: line(cell.content) })) }];
  });
}

function line(content: readonly Inline[]): Inline[] {
  return content.flatMap((word): Inline[] => {
    switch (word.type) {
      case 'text':
        return [words(word.text, word.marks)];
      case 'break':
        return [{ ...word, ...marked(word.marks) }];
      case 'image':
        return [
          {
            ...word,
            ...marked(word.marks),
            attrs: {
              ...word.attrs,
              source: lineAsWords(word.attrs.source),
              description: lineAsWords(word.attrs.description),
              ...(word.attrs.link ? { link: lineAsWords(word.attrs.link) } : {}),
            },
          },
        ];
      case 'section':
      case 'when':
        return between<Inline>(word, (tag) => words(tag), line);
      default:
        return [words(printTag(word as Tag), word.marks)];
    }
  });
}
