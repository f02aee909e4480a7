import type {
  Block,
  Inline,
  Line,
  ListChild,
  Row,
  Section,
  TemplateDocument,
  When,
} from '../document/templateDocument';
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
const BETWEEN_LINES = '\n\n';

/** The words of a template’s subject and body as one text, in the order in which they are read. */
export function letterText(subject: Line, document: TemplateDocument): LetterText {
  const begins = new Map<readonly Inline[], number>();
  const links: LinkIn[] = [];
  const listed: Listing[] = [];
  let text = '';
  const line = (words: readonly Inline[]) => {
    begins.set(words, text.length);
    for (const word of words) {
      const from = text.length;
      text += word.type === 'text' ? word.text : word.type === 'break' ? '\n' : OBJECT;
      const link = linkOf(word);
      if (link) addLink(links, { from, to: text.length, ...link });
    }
    text += BETWEEN_LINES;
  };
  const list = <One>(table: boolean, of: readonly One[], read: (one: One) => void) => {
    const rows = of.map((one): Stretch => {
      const from = text.length;
      read(one);
      return { from, to: text.length };
    });
    if (rows.length > 1) listed.push({ table, rows });
  };
  /** What repeats, or stands there only when something is so. */
  const structure = <Child>(one: Section<Child> | When<Child>, read: (child: Child) => void): void =>
    one.type === 'section'
      ? one.content.forEach(read)
      : one.content.forEach((branch) => branch?.content.forEach(read));
  const block = (one: Block): void => {
    switch (one.type) {
      case 'paragraph':
      case 'heading':
      case 'codeBlock':
        return line(one.content);
      case 'quote':
      case 'styled':
        return one.content.forEach(block);
      case 'bulletList':
      case 'orderedList':
        return list(false, one.content, item);
      case 'section':
      case 'when':
        return structure(one, block);
      case 'table':
        return list(true, one.content, row);
    }
  };
  const item = (one: ListChild): void => {
    if (one.type === 'listItem') one.content.forEach(block);
    else if (one.type !== 'comment') structure(one, item);
  };
  const row = (one: Row): void => {
    if (one.type === 'tableRow') for (const cell of one.content) line(cell.content);
    else if (one.type !== 'comment') structure(one, row);
  };
  line(subject);
  document.content.forEach(block);
  return { text, begins, links, listed, subject, document };
}

/** The same link over several words is one. */
function addLink(links: LinkIn[], link: LinkIn): void {
  const last = links.at(-1);
  if (last?.to === link.from && last.address === link.address) last.to = link.to;
  else links.push(link);
}

function linkOf(word: Inline): { address: string; button?: boolean } | undefined {
  for (const mark of ('marks' in word && word.marks) || []) {
    if (mark.type !== 'link') continue;
    const address = mark.attrs.address.map((one) => (one.type === 'text' ? one.text : OBJECT)).join('');
    return { address, ...(mark.attrs.button ? { button: true } : {}) };
  }
  return undefined;
}
