import { eachPart } from '../document/eachPart';
import type { Inline, TemplateDocument } from '../document/templateDocument';
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
  return [...eachPart(document.content)].flatMap(({ part }) => (part.type === 'image' ? [named(part)] : []));
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
  const change = <Node extends Parent>(node: Node): Node =>
    node.content
      ? { ...node, content: node.content.flatMap((one) => (isPicture(one) ? placed(one) : [change(one)])) }
      : node;
  const placed = (word: PictureWord): Parent[] => {
    const found = pictureWord(named(word), kept, word.attrs.width);
    if (!found) return [];
    const { source, width } = found.attrs;
    const attrs = { ...word.attrs, source, ...(fitted && width ? { width } : {}) };
    return [{ ...word, attrs } as Parent];
  };
  return change(document as Parent) as TemplateDocument;
}

/** A part of a document as far as it holds others. */
interface Parent {
  type: string;
  content?: Parent[];
}

function isPicture(one: Parent): one is PictureWord {
  return one.type === 'image';
}

function named({ attrs }: PictureWord): ForeignPicture {
  return { source: printLine(attrs.source), description: printLine(attrs.description) };
}
