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
import type { Find } from './find';
import { SIGNATURE } from './knownFacts';
import type { LetterText } from './letterText';

/** Something to stand in a template in the place of words. */
export interface Placed {
  /** in UTF-16 units of the text */
  start: number;
  end: number;
  word: Inline;
}

/** What stands for a find in a template. */
export function fieldOf({ start, end, path, steps }: Pick<Find, 'start' | 'end' | 'path' | 'steps'>): Placed {
  const word: Inline =
    path === SIGNATURE ? { type: 'signature' } : { type: 'field', attrs: { path, steps: [...steps] } };
  return { start, end, word };
}

/** The words of a letter with something in the place of some of them, in whose look it stands. */
export function placeFields(
  { text, begins, subject, document }: LetterText,
  placed: readonly Placed[],
): { subject: Line; document: TemplateDocument } {
  const inOrder = [...placed].sort((a, b) => a.start - b.start);
  const line = (words: readonly Inline[]): Inline[] => {
    const from = begins.get(words);
    return from === undefined ? [...words] : placeInLine(words, from, text, inOrder);
  };
  const structure = <Child>(one: Section<Child> | When<Child>, change: (child: Child) => Child) =>
    one.type === 'section'
      ? { ...one, content: one.content.map(change) }
      : ({
          ...one,
          content: one.content.map((branch) => branch && { ...branch, content: branch.content.map(change) }),
        } as When<Child>);
  const block = (one: Block): Block => {
    switch (one.type) {
      case 'paragraph':
      case 'heading':
      case 'codeBlock':
        return { ...one, content: line(one.content) };
      case 'quote':
      case 'styled':
        return { ...one, content: one.content.map(block) };
      case 'bulletList':
      case 'orderedList':
        return { ...one, content: one.content.map(item) };
      case 'table':
        return { ...one, content: one.content.map(row) };
      case 'section':
      case 'when':
        return structure(one, block);
      default:
        return one;
    }
  };
  const item = (one: ListChild): ListChild =>
    one.type === 'listItem'
      ? { ...one, content: one.content.map(block) }
      : one.type === 'comment'
        ? one
        : structure(one, item);
  const row = (one: Row): Row =>
    one.type === 'tableRow'
      ? { ...one, content: one.content.map((cell) => ({ ...cell, content: line(cell.content) })) }
      : one.type === 'comment'
        ? one
        : structure(one, row);
  return {
    subject: line(subject),
    document: { ...document, content: document.content.map(block) },
  };
}

function placeInLine(
  words: readonly Inline[],
  begins: number,
  text: string,
  placed: readonly Placed[],
): Inline[] {
  const made: Inline[] = [];
  let at = begins;
  let next = placed.findIndex(({ end }) => end > begins);
  if (next < 0) return [...words];
  for (const word of words) {
    const from = at;
    at += lengthOf(word, text, at);
    let cut = from;
    for (; next < placed.length && placed[next]!.start < at; next++) {
      const { start, end, word: put } = placed[next]!;
      if (start >= from) {
        made.push(...partOf(word, cut - from, start - from));
        // A field looks as the words did in whose place it stands; a link that is one of its own is none around it.
        const marks = ((word as { marks?: Mark[] }).marks ?? []).filter(
          (mark) => mark.type !== 'link' || !isOwnLink(put),
        );
        made.push({ ...put, ...(marks.length ? { marks } : {}) } as Inline);
      }
      cut = Math.max(cut, end);
      if (end > at) break;
    }
    made.push(...partOf(word, cut - from, at - from));
  }
  return made;
}

/** What a word takes of the text: a line’s end with what stood before it. */
function lengthOf(word: Inline, text: string, at: number): number {
  if (word.type === 'text') return word.text.length;
  if (word.type !== 'break') return 1;
  const end = text.indexOf('\n', at);
  return end < 0 ? 1 : end + 1 - at;
}

function partOf(word: Inline, from: number, to: number): Inline[] {
  if (from >= to) return [];
  if (word.type !== 'text') return from === 0 ? [word] : [];
  const text = word.text.slice(from, to);
  return text ? [{ ...word, text }] : [];
}

function isOwnLink(word: Inline): boolean {
  return (
    word.type === 'field' &&
    (word.attrs.path.startsWith('links.') ||
      word.attrs.steps.some(({ step }) => step === 'as' || step === 'button'))
  );
}
