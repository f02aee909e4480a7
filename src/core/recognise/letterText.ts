import type { CopyBlock, CopyDocument, CopyMark, CopyWord, Subject } from '../document/copyDocument';
import type { Block, Inline, Line, Mark, TemplateDocument } from '../document/templateDocument';
import type { LinkIn } from './linkSpots';
import type { Listing, Stretch } from './zones';

/** A letter made ready for its facts to be found: its words as a template’s, and as one text. */
export interface LetterText {
  /** its lines, an empty one between them; one character for what is no word */
  text: string;
  /** where each line of words begins in the text */
  begins: ReadonlyMap<readonly Inline[], number>;
  links: LinkIn[];
  /** what is repeated: rows of a table, items of a list */
  listed: Listing[];
  subject: Line;
  document: TemplateDocument;
}

/** What stands for a picture or a gap in a text (Unicode: object replacement character). */
const OBJECT = '\uFFFC';
/** What stands between two lines. */
export const BETWEEN_LINES = '\n\n';

/** The words of a letter as they would stand in a template: without what told where they came from. */
export function letterText({ content }: CopyDocument): LetterText {
  const begins = new Map<readonly Inline[], number>();
  const links: LinkIn[] = [];
  const listed: Listing[] = [];
  let text = '';
  /** Several of a kind are a listing; one may be any sentence. */
  const list = <One, Made>(table: boolean, of: readonly One[], make: (one: One) => Made): Made[] => {
    const rows: Stretch[] = [];
    const made = of.map((one) => {
      const from = text.length;
      const row = make(one);
      rows.push({ from, to: text.length });
      return row;
    });
    if (rows.length > 1) listed.push({ table, rows });
    return made;
  };
  const line = (words: readonly CopyWord[]): Inline[] => {
    const from = text.length;
    const inlines = words.map((word): Inline => {
      const at = text.length;
      text += word.type === 'text' ? word.text : word.type === 'break' ? '\n' : OBJECT;
      for (const mark of word.marks ?? [])
        if (mark.type === 'link')
          addLink(links, {
            from: at,
            to: text.length,
            address: mark.attrs.address,
            ...(mark.attrs.button ? { button: true } : {}),
          });
      return inlineOf(word);
    });
    text += BETWEEN_LINES;
    begins.set(inlines, from);
    return inlines;
  };
  const block = (one: CopyBlock): Block => {
    const attrs = withoutWhence(one.attrs);
    switch (one.type) {
      case 'paragraph':
      case 'heading':
      case 'codeBlock':
        return { ...one, ...attrs, content: line(one.content) } as Block;
      case 'rule':
        return { type: 'rule' };
      case 'table':
        return {
          ...one,
          ...attrs,
          content: list(true, one.content, (row) => ({
            ...row,
            ...withoutWhence(row.attrs),
            content: row.content.map((cell) => ({ ...cell, content: line(cell.content) })),
          })),
        } as Block;
      case 'bulletList':
      case 'orderedList':
        return {
          ...one,
          ...attrs,
          content: list(false, one.content, (item) => ({
            type: 'listItem' as const,
            content: item.content.map(block),
          })),
        } as Block;
      default:
        return { ...one, ...attrs, content: one.content.map(block) } as Block;
    }
  };
  const [first, ...others] = content as [Subject, ...CopyBlock[]];
  const subject = line(first.content);
  return { subject, document: { type: 'doc', content: others.map(block) }, text, begins, links, listed };
}

/** The same link over several words is one. */
function addLink(links: LinkIn[], link: LinkIn): void {
  const last = links.at(-1);
  if (last?.to === link.from && last.address === link.address) last.to = link.to;
  else links.push(link);
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
          source: plain(source),
          description: plain(description),
          ...(link === undefined ? {} : { link: plain(link) }),
        },
        ...marked,
      };
    }
  }
}

function markOf(mark: CopyMark): Mark[] {
  if (mark.type === 'value' || mark.type === 'signature') return [];
  if (mark.type !== 'link') return [mark];
  return [{ type: 'link', attrs: { ...mark.attrs, address: plain(mark.attrs.address) } }];
}

function plain(text: string): Line {
  return text ? [{ type: 'text', text }] : [];
}

function withoutWhence(attrs: object | undefined): { attrs?: object } {
  const { origin: _o, behind: _b, ...kept } = (attrs ?? {}) as { origin?: string; behind?: string };
  return Object.keys(kept).length ? { attrs: kept } : { attrs: undefined as never };
}
