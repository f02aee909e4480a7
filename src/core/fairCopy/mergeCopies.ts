import { holdsWords, type CopyDocument, type CopyNode } from './copyDocument';
import { mergeWords, renewWords, wordsByHand } from './mergeWords';
import { piecesById } from './values';

type Now = ReadonlyMap<string, readonly CopyNode[]>;

/**
 * A fair copy after another record, person or template was taken: as the template now fills, with everything that
 * was written, changed or removed by hand since it was last filled. All three are canonical (readCopy).
 * @param base as filled before  @param mine as it stands on the page  @param theirs as filled now
 */
export function mergeCopies(base: CopyDocument, mine: CopyDocument, theirs: CopyDocument): CopyDocument {
  return mergeNode(base, mine, theirs, piecesById(theirs)) as CopyDocument;
}

function mergeNode(base: CopyNode, mine: CopyNode, theirs: CopyNode, now: Now): CopyNode {
  if (same(base, mine)) return theirs;
  const attrs = same(base.attrs, mine.attrs) ? theirs.attrs : mine.attrs;
  const content = holdsWords(theirs)
    ? mergeWords(base.content ?? [], mine.content ?? [], theirs.content ?? [], now)
    : mergeBlocks(base.content ?? [], mine.content ?? [], theirs.content ?? [], now);
  return {
    type: theirs.type,
    ...(attrs ? { attrs } : {}),
    ...(theirs.content || content.length ? { content } : {}),
  };
}

function mergeBlocks(
  base: readonly CopyNode[],
  mine: readonly CopyNode[],
  theirs: readonly CopyNode[],
  now: Now,
): CopyNode[] {
  const [before, after] = [byName(base), byName(theirs)];
  const own = byName(mine);
  // What is the writer's alone stays where it is: after the block it stands behind.
  const behind = new Map<string | undefined, CopyNode[]>();
  let anchor: string | undefined;
  for (const [i, block] of mine.entries()) {
    const name = nameOf(block, i);
    const fromTemplate = own.get(name) === block;
    if (fromTemplate && after.has(name)) anchor = name;
    else {
      const was = fromTemplate ? before.get(name) : undefined;
      const written = was ? byHand(was, block, now) : renewBlock(block, now);
      if (written) behind.set(anchor, [...(behind.get(anchor) ?? []), written]);
    }
  }
  const merged = [...(behind.get(undefined) ?? [])];
  for (const [name, block] of after) {
    const [was, kept] = [before.get(name), own.get(name)];
    if (kept && was && kept.type === block.type) merged.push(mergeNode(was, kept, block, now));
    else if (kept) merged.push(renewBlock(kept, now));
    else if (!was) merged.push(block);
    merged.push(...(behind.get(name) ?? []));
  }
  return merged;
}

/** Of a block that is no longer in the letter, what its writer put into it; undefined when that is nothing. */
function byHand(was: CopyNode, block: CopyNode, now: Now): CopyNode | undefined {
  if (same(was, block)) return undefined;
  const content = holdsWords(block)
    ? wordsByHand(was.content ?? [], block.content ?? [], now)
    : mergeBlocks(was.content ?? [], block.content ?? [], [], now);
  if (content.length === 0) return undefined;
  // Its place in the template is gone: it is the writer's own now.
  const { origin: _, ...attrs } = block.attrs ?? {};
  return { type: block.type, ...(Object.keys(attrs).length ? { attrs } : {}), content };
}

/** A block by where it came from; cells and the subject by their place. A second one of a name is the writer's. */
function byName(blocks: readonly CopyNode[]): Map<string, CopyNode> {
  const names = new Map<string, CopyNode>();
  for (const [i, block] of blocks.entries()) {
    const name = nameOf(block, i);
    if (!names.has(name) && (block.attrs?.origin || isPlaced(block))) names.set(name, block);
  }
  return names;
}

function nameOf(block: CopyNode, at: number): string {
  if (isPlaced(block)) return `${block.type} ${at}`;
  return block.attrs?.origin ? `from ${block.attrs.origin}` : `by hand ${at}`;
}

function isPlaced({ type }: CopyNode): boolean {
  return type === 'subject' || type === 'tableCell';
}

function renewBlock(block: CopyNode, now: Now): CopyNode {
  if (!block.content) return block;
  return {
    ...block,
    content: holdsWords(block)
      ? renewWords(block.content, now)
      : block.content.map((child) => renewBlock(child, now)),
  };
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
