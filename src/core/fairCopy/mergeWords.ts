import { diff3MergeRegions, diffIndices } from 'node-diff3';
import { joined, marksKey, sortMarks } from '../document/marks';
import { wordsOf } from '../document/eachNode';
import type { CopyMark, CopyWord } from '../document/copyDocument';
import { isChanged, stretchesOf, type Stretch } from './values';

/**
 * Merges a line: what the template now says, with everything that was changed by hand since it was last filled.
 * A three-way merge (diff3) of words, in which a value counts as one word, the same whatever it says.
 * @param base as filled before  @param mine as it stands  @param theirs as filled now
 * @param now what each value or hole is now, by id
 * @param onBoth told once for each place at which both have changed: what was written by hand stays there
 */
export function mergeWords(
  base: readonly CopyWord[],
  mine: readonly CopyWord[],
  theirs: readonly CopyWord[],
  now: ReadonlyMap<string, readonly CopyWord[]>,
  onBoth?: () => void,
): CopyWord[] {
  const [a, o, b] = [tokensOf(mine), tokensOf(base), tokensOf(theirs)];
  const regions = diff3MergeRegions(a.map(keyOf), o.map(keyOf), b.map(keyOf));
  const mineById = new Map(
    a.flatMap((token) => (token.id === undefined ? [] : [[token.id, token] as const])),
  );
  const merged: CopyWord[] = [];
  for (const region of regions) {
    if (!region.stable) {
      onBoth?.();
      for (const token of a.slice(region.aStart, region.aStart + region.aLength))
        merged.push(...renewed(token, now));
      continue;
    }
    const from = region.buffer === 'b' ? b : region.buffer === 'a' ? a : o;
    for (const token of from.slice(region.bufferStart, region.bufferStart + region.bufferLength)) {
      const own = region.buffer === 'o' && token.id !== undefined ? mineById.get(token.id) : undefined;
      merged.push(...renewed(own ?? token, now));
    }
  }
  return joined(merged);
}

/** A line that is the writer's own, with the values in it brought up to date. */
export function renewWords(
  nodes: readonly CopyWord[],
  now: ReadonlyMap<string, readonly CopyWord[]>,
): CopyWord[] {
  return joined(tokensOf(nodes).flatMap((token) => renewed(token, now)));
}

/** Only the words of a line that were put in by hand. */
export function wordsByHand(
  base: readonly CopyWord[],
  mine: readonly CopyWord[],
  now: ReadonlyMap<string, readonly CopyWord[]>,
): CopyWord[] {
  const tokens = tokensOf(mine);
  const put = diffIndices(tokensOf(base).map(keyOf), tokens.map(keyOf)).flatMap(
    ({ buffer2: [from, length] }) =>
      tokens.slice(from, from + length).flatMap((token) => renewed(token, now)),
  );
  const words = joined(put);
  return words.some((node) => node.type !== 'text' || node.text.trim()) ? words : [];
}

/** A value says what it says now; one changed by hand keeps its words, and what it would say is kept beside them. */
function renewed(token: Stretch, now: ReadonlyMap<string, readonly CopyWord[]>): readonly CopyWord[] {
  const fresh = token.id === undefined ? undefined : now.get(token.id);
  if (!fresh) return token.nodes;
  if (!isChanged(token)) return fresh;
  const id = token.id!;
  const said = fresh[0]!.type === 'hole' ? '' : fresh.map((node) => wordsOf(node)).join('');
  return token.nodes.map((node) => {
    const others = node.marks!.filter((mark) => mark.type !== 'value');
    return { ...node, marks: sortMarks<CopyMark>([...others, { type: 'value', attrs: { id, said } }]) };
  });
}

/** A line as words, spaces, values and holes. */
function tokensOf(nodes: readonly CopyWord[]): Stretch[] {
  return stretchesOf(nodes).flatMap((stretch) => {
    const [node] = stretch.nodes;
    if (stretch.id !== undefined || node?.type !== 'text') return [stretch];
    return (node.text.match(/\s+|[^\s]+/g) ?? []).map((text) => ({ nodes: [{ ...node, text }] }));
  });
}

function keyOf({ id, nodes }: Stretch): string {
  if (id !== undefined) return `value ${id}`;
  const [node] = nodes as [CopyWord];
  const said = node.type === 'image' ? JSON.stringify(node.attrs) : node.type === 'text' ? node.text : '';
  return `${node.type} ${marksKey(node)} ${said}`;
}
