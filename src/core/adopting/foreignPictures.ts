import type { Block, Inline, TemplateDocument } from '../document/templateDocument';
import { printLine } from '../template/text/printLine';

/** A picture in a text from elsewhere: where it says that it is, and what it says that it shows. */
export interface ForeignPicture {
  source: string;
  description: string;
}

/** Pictures that came along and are kept, by where the text has them: what each is named by now, and its width in pixels. */
export type KeptPictures = ReadonlyMap<string, { sha256: string; width: number }>;

/** A picture as it stands among words. */
export type PictureWord = Extract<Inline, { type: 'image' }>;

/** Wider stands no picture in a letter. */
const WIDEST = 600;

/** A picture as a word of ours. Undefined: it did not come along. @param width as the text has it, in pixels */
export function pictureWord(
  { source, description }: ForeignPicture,
  kept: KeptPictures,
  width?: number,
): PictureWord | undefined {
  const found = kept.get(source);
  if (!found) return undefined;
  const shown = Math.min(WIDEST, found.width, width && width > 0 ? width : WIDEST);
  return {
    type: 'image',
    attrs: {
      source: [{ type: 'text', text: found.sha256 }],
      description: description ? [{ type: 'text', text: description.slice(0, 300) }] : [],
      ...(shown < found.width ? { width: shown } : {}),
    },
  };
}

/** The picture in words, for a list of what was left out. */
export function pictureInWords({ source, description }: ForeignPicture): string {
  const from = /^data:/i.test(source) ? 'within the page' : source.slice(0, 120);
  return `the picture ${description ? `“${description.slice(0, 80)}” ` : ''}(${from || 'from nowhere'})`;
}

/** The pictures of a document, in its order. */
export function picturesOf(document: TemplateDocument): ForeignPicture[] {
  const found: ForeignPicture[] = [];
  eachPicture(document.content, (word) => void found.push(named(word)));
  return found;
}

/**
 * A document with its pictures as they are kept; those that are not are taken out.
 * @param fitted whether one that says no width is given one that a letter has room for
 */
export function withKeptPictures(
  document: TemplateDocument,
  kept: KeptPictures,
  fitted: boolean,
): TemplateDocument {
  const copy = structuredClone(document);
  eachPicture(copy.content, (word, line, at) => {
    const found = pictureWord(named(word), kept, word.attrs.width);
    if (!found) return void line.splice(at, 1);
    const { source, width } = found.attrs;
    line[at] = { ...word, attrs: { ...word.attrs, source, ...(fitted && width ? { width } : {}) } };
  });
  return copy;
}

function named({ attrs }: PictureWord): ForeignPicture {
  return { source: printLine(attrs.source), description: printLine(attrs.description) };
}

/** Goes over the pictures, the last of a line first, so that one can be taken out of it. */
function eachPicture(
  nodes: readonly unknown[],
  see: (word: PictureWord, line: Inline[], at: number) => void,
): void {
  for (let at = nodes.length - 1; at >= 0; at--) {
    const node = nodes[at] as Block | Inline | { type: string; content?: unknown[] };
    if (node.type === 'image') see(node as PictureWord, nodes as Inline[], at);
    else if ('content' in node && Array.isArray(node.content)) eachPicture(node.content, see);
  }
}
