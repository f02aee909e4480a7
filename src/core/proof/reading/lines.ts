import type { CopyDocument, CopyWord } from '../../document/copyDocument';
import { eachNode, holdsWords, valueMark } from '../../document/eachNode';

/** A line of a letter as it is read: its subject, a paragraph, a heading, what stands in a cell. */
export interface Line {
  /** which one it is of all lines in the order of reading; the subject is the first */
  index: number;
  isSubject: boolean;
  /** one character for what is no word: U+FFFC for a hole or a picture, a line break as one */
  text: string;
  /** what fields say in it, by the ids of their notes; `as it is`: nobody has put other words to it */
  values: readonly Stretch[];
  links: readonly { from: number; to: number; address: string }[];
  /** what of it is a signature; absent: nothing */
  signature?: { from: number; to: number };
}

/** The words of one field. */
export interface Stretch {
  id: string;
  from: number;
  to: number;
  asItIs: boolean;
}

/** What stands for a hole or a picture in a line (Unicode: object replacement character). */
const OBJECT = '\uFFFC';

const known = new WeakMap<CopyDocument, readonly Line[]>();

/** The lines of a letter; places in them are UTF-16 units, as an editor counts them. */
export function linesOf(document: CopyDocument): readonly Line[] {
  let lines = known.get(document);
  if (!lines) {
    const all: Line[] = [];
    for (const node of eachNode(document))
      if (holdsWords(node)) all.push(lineOf(node.content, all.length, node.type === 'subject'));
    known.set(document, (lines = all));
  }
  return lines;
}

function lineOf(nodes: readonly CopyWord[], index: number, isSubject: boolean): Line {
  const values: (Stretch & { said: string })[] = [];
  const links: { from: number; to: number; address: string }[] = [];
  let signature: { from: number; to: number } | undefined;
  let text = '';
  for (const node of nodes) {
    const from = text.length;
    text += node.type === 'text' ? node.text : node.type === 'break' ? '\n' : OBJECT;
    const to = text.length;
    const value = valueMark(node);
    const last = values.at(-1);
    if (value && last?.id === value.id && last.to === from) last.to = to;
    else if (value) values.push({ ...value, from, to, asItIs: true });
    for (const mark of node.marks ?? []) {
      if (mark.type === 'signature') signature = { from: signature?.from ?? from, to };
      if (mark.type !== 'link') continue;
      const before = links.at(-1);
      if (before?.to === from && before.address === mark.attrs.address) before.to = to;
      else links.push({ from, to, address: mark.attrs.address });
    }
  }
  const words = nodes.some(({ type }) => type === 'image') ? '' : text;
  return {
    index,
    isSubject,
    text,
    values: values.map(({ said, ...value }) => ({
      ...value,
      asItIs: words === '' || words.slice(value.from, value.to) === said,
    })),
    links,
    ...(signature ? { signature } : {}),
  };
}

/** The words of a letter's body without its signatures, line by line. */
export function bodyOf(lines: readonly Line[]): readonly Line[] {
  return lines.filter(({ isSubject, signature, text }) => {
    if (isSubject) return false;
    return !signature || text.slice(signature.from, signature.to).trim() !== text.trim();
  });
}

/** Whether a place of a line is inside a field's words that stand as they are. */
export function isSaidByField({ values }: Line, from: number, to: number): boolean {
  return values.some((value) => value.asItIs && value.from <= from && to <= value.to);
}
