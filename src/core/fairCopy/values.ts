import { eachNode, holdsWords, valueMark, wordsOf } from '../document/eachNode';
import type { CopyDocument, CopyNode, CopyPart, CopyWord } from '../document/copyDocument';

/** What a field says in a fair copy now, where it stands. */
export interface CopyValue {
  id: string;
  /** what the records say; empty where they say nothing */
  said: string;
  /** what stands there: the same, unless it was changed by hand */
  words: string;
}

/** The values of a document in the order of reading; one whose words stand in two places is there twice. */
export function valuesOf(document: CopyNode): CopyValue[] {
  const values: CopyValue[] = [];
  for (const node of eachNode(document)) {
    if (!holdsWords(node)) continue;
    let before: CopyValue | undefined;
    for (const child of node.content) {
      const mark = valueMark(child);
      if (mark && before?.id === mark.id) before.words += wordsOf(child);
      else if (mark) values.push((before = { ...mark, words: wordsOf(child) }));
      if (!mark) before = undefined;
    }
  }
  return values;
}

/** The holes that are still open, in the order of reading. */
export function openHoles(document: CopyDocument): { id: string; label: string }[] {
  return [...eachNode(document)].flatMap((node) =>
    node.type === 'hole' ? [{ id: node.attrs.id, label: node.attrs.label }] : [],
  );
}

/** Whether a part of a letter is signed with what its template signs with. */
export function isSigned(part: CopyPart): boolean {
  for (const node of eachNode(part))
    if ('marks' in node && node.marks?.some(({ type }) => type === 'signature')) return true;
  return false;
}

/** The signatures that stand in it, by the ids of their notes, in the order of reading. */
export function standingSignatures(document: CopyDocument): string[] {
  const ids = new Set<string>();
  for (const node of eachNode(document)) {
    if (!holdsWords(node)) continue;
    for (const { marks = [] } of node.content)
      for (const mark of marks) if (mark.type === 'signature') ids.add(mark.attrs.id);
  }
  return [...ids];
}

/** What a document has at a place: the nodes of a value or a hole, by id. */
export function stretchesById(document: CopyNode): ReadonlyMap<string, CopyWord[]> {
  const stretches = new Map<string, CopyWord[]>();
  for (const node of eachNode(document)) {
    if (!holdsWords(node)) continue;
    for (const stretch of stretchesOf(node.content)) {
      const id = stretch.id;
      if (id !== undefined && !stretches.has(id)) stretches.set(id, stretch.nodes);
    }
  }
  return stretches;
}

/** A line's nodes with those of one value together. */
export interface Stretch {
  /** of a value or a hole */
  id?: string;
  nodes: CopyWord[];
}

/** A line in stretches: the nodes of one value together, everything else by itself. */
export function stretchesOf(nodes: readonly CopyWord[]): Stretch[] {
  const stretches: Stretch[] = [];
  for (const node of nodes) {
    const id = node.type === 'hole' ? node.attrs.id : valueMark(node)?.id;
    const last = stretches.at(-1);
    if (id !== undefined && last?.id === id && node.type !== 'hole') last.nodes.push(node);
    else stretches.push(id === undefined ? { nodes: [node] } : { id, nodes: [node] });
  }
  return stretches;
}

/** Whether the words of a value are no longer what the records say. */
export function isChanged({ nodes }: Stretch): boolean {
  const mark = nodes[0] && valueMark(nodes[0]);
  return mark !== undefined && nodes.map((node) => wordsOf(node)).join('') !== mark.said;
}
