import type { CopyBlock, CopyDocument, CopyMark, CopyWord, Subject } from '../document/copyDocument';
import { plainLine } from '../document/plainLine';
import type { Block, Inline, Line, Mark, TemplateDocument } from '../document/templateDocument';

/** The words of a letter as they would stand in a template: without what told where they came from. */
export function templateWords({ content }: CopyDocument): { subject: Line; document: TemplateDocument } {
  const [subject, ...others] = content as [Subject, ...CopyBlock[]];
  return {
    subject: subject.content.map(inlineOf),
    document: { type: 'doc', content: others.map(blockOf) },
  };
}

function blockOf(block: CopyBlock): Block {
  const kept = withoutWhence(block);
  switch (block.type) {
    case 'paragraph':
    case 'heading':
    case 'codeBlock':
      return { ...kept, content: block.content.map(inlineOf) } as Block;
    case 'rule':
      return { type: 'rule' };
    case 'table':
      return {
        ...kept,
        content: block.content.map((row) => ({
          ...withoutWhence(row),
          content: row.content.map((cell) => ({ ...cell, content: cell.content.map(inlineOf) })),
        })),
      } as Block;
    case 'bulletList':
    case 'orderedList':
      return {
        ...kept,
        content: block.content.map((item) => ({ type: 'listItem', content: item.content.map(blockOf) })),
      } as Block;
    default:
      return { ...kept, content: block.content.map(blockOf) } as Block;
  }
}

function inlineOf(word: CopyWord): Inline {
  const marks = (word.marks ?? []).flatMap(markOf);
  const marked = marks.length ? { marks } : {};
  switch (word.type) {
    case 'text':
      return { type: 'text', text: word.text, ...marked };
    case 'break':
      return { type: 'break', ...marked };
    case 'hole':
      return { type: 'gap', attrs: { words: word.attrs.label }, ...marked };
    case 'image': {
      const { link, source, description, ...looks } = word.attrs;
      return {
        type: 'image',
        attrs: {
          ...looks,
          source: plainLine(source),
          description: plainLine(description),
          ...(link === undefined ? {} : { link: plainLine(link) }),
        },
        ...marked,
      };
    }
  }
}

function markOf(mark: CopyMark): Mark[] {
  if (mark.type === 'value' || mark.type === 'signature') return [];
  if (mark.type !== 'link') return [mark];
  return [{ type: 'link', attrs: { ...mark.attrs, address: plainLine(mark.attrs.address) } }];
}

function withoutWhence<Node extends { type: string; attrs?: object | undefined }>({ attrs, ...node }: Node) {
  const { origin: _origin, behind: _behind, ...kept } = (attrs ?? {}) as { origin?: string; behind?: string };
  return Object.keys(kept).length ? { ...node, attrs: kept } : node;
}
