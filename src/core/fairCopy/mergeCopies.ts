import type { CopyDocument, CopyPart, CopyWord } from '../document/copyDocument';
import { holdsWords, partsOf, wordsOf } from '../document/eachNode';
import { mergeWords, renewWords, wordsByHand } from './mergeWords';
import { isSigned, stretchesById } from './values';

/** What each value or hole is now, by id. */
type Now = ReadonlyMap<string, readonly CopyWord[]>;

/**
 * A fair copy after another record, person or template was taken: as the template now fills, with everything that
 * was written, changed or removed by hand since it was last filled. All three are canonical (readCopy).
 * @param base as filled before  @param mine as it stands on the page  @param theirs as filled now
 * @param onBoth told the blocks of the page, as filled now, in which words are other than before and were changed by hand, too: what
 * was written stands there
 */
export function mergeCopies(
  base: CopyDocument,
  mine: CopyDocument,
  theirs: CopyDocument,
  onBoth?: (block: CopyPart) => void,
): CopyDocument {
  const now = stretchesById(theirs);
  if (same(base, mine)) return theirs;
  const content = mergeBlocks(partsOf(base), partsOf(mine), partsOf(theirs), now, onBoth);
  return { ...theirs, content } as CopyDocument;
}

function mergeNode(
  base: CopyPart,
  mine: CopyPart,
  theirs: CopyPart,
  now: Now,
  onBoth: (() => void) | undefined,
): CopyPart {
  if (same(base, mine)) return theirs;
  const attrs = same(base.attrs, mine.attrs) ? theirs.attrs : mine.attrs;
  const content = holdsWords(theirs)
    ? mergeWords(lineOf(base), lineOf(mine), theirs.content, now, onBoth)
    : mergeBlocks(partsOf(base), partsOf(mine), partsOf(theirs), now, onBoth);
  return {
    type: theirs.type,
    ...(attrs ? { attrs } : {}),
    ...(theirs.content || content.length ? { content } : {}),
  } as CopyPart;
}

function mergeBlocks(
  base: readonly CopyPart[],
  mine: readonly CopyPart[],
  theirs: readonly CopyPart[],
  now: Now,
  onBoth?: (block: CopyPart) => void,
): CopyPart[] {
  const [before, after] = [byName(base), byName(theirs)];
  const own = byName(mine);
  // What is the writer's alone stays where it is: after the block it stands behind.
  const behindOf = new Map<string | undefined, CopyPart[]>();
  const places = new Places(mine, own, after);
  for (const [i, block] of mine.entries()) {
    const name = nameOf(block, i);
    const fromTemplate = own.get(name) === block;
    if (fromTemplate && after.has(name)) continue;
    const was = fromTemplate ? before.get(name) : undefined;
    const written = was ? byHand(was, block, now) : renewBlock(block, now);
    if (!written) continue;
    const { anchor, placed } = places.of(written, i);
    behindOf.set(anchor, [...(behindOf.get(anchor) ?? []), placed]);
  }
  const merged = [...(behindOf.get(undefined) ?? [])];
  for (const [name, block] of after) {
    const [was, kept] = [before.get(name), own.get(name)];
    if (kept && was && kept.type === block.type)
      merged.push(mergeNode(was, kept, block, now, () => onBoth?.(block)));
    else if (kept) merged.push(renewBlock(kept, now));
    else if (!was) merged.push(block);
    merged.push(...(behindOf.get(name) ?? []));
  }
  return merged;
}

/** Where a block of the writer's own goes in a page that has changed. */
class Places {
  private readonly names: readonly string[];
  private readonly byWords: ReadonlyMap<string, string>;
  /** whether the page is still of the same template */
  private readonly sameTemplate: boolean;
  /** the blocks of the template in the page as it stood, with where they stood */
  private readonly passed: readonly { at: number; name: string; block: CopyPart }[];

  constructor(
    mine: readonly CopyPart[],
    own: ReadonlyMap<string, CopyPart>,
    private readonly after: ReadonlyMap<string, CopyPart>,
  ) {
    this.names = [...after.keys()];
    this.byWords = new Map(
      [...after].flatMap(([name, block]) => (wordsOf(block).trim() ? [[wordsOf(block), name]] : [])),
    );
    this.passed = mine.flatMap((block, at) => {
      const name = nameOf(block, at);
      return own.get(name) === block ? [{ at, name, block }] : [];
    });
    this.sameTemplate = this.passed.some(({ name, block }) => !isPlaced(block) && after.has(name));
  }

  /**
   * What it goes behind (undefined: the top), and the block as it is kept: where it came from, if that is there again;
   * beside the words it stood beside; else at the end, before the signature.
   */
  of(block: CopyPart, at: number): { anchor: string | undefined; placed: CopyPart } {
    const home = block.attrs?.behind;
    if (home !== undefined && this.after.has(home)) return { anchor: home, placed: behind(block, undefined) };
    const before = this.passed.filter((one) => one.at < at);
    const previous = before.at(-1);
    if (!previous || this.after.has(previous.name)) return { anchor: previous?.name, placed: block };
    return {
      anchor: this.beside(before, at),
      placed: home === undefined && !block.attrs?.origin ? behind(block, previous.name) : block,
    };
  }

  private beside(before: Places['passed'], at: number): string | undefined {
    const again = ({ name, block }: { name: string; block: CopyPart }) =>
      this.after.has(name) ? name : this.byWords.get(wordsOf(block));
    const previous = again(before.at(-1)!);
    if (previous !== undefined) return previous;
    const next = this.passed.find((one) => one.at > at);
    const following = next && again(next);
    if (following !== undefined) return this.names[this.names.indexOf(following) - 1];
    if (this.sameTemplate) return before.findLast(({ name }) => this.after.has(name))?.name;
    const signed = [...this.after.values()].findLastIndex(isSigned);
    return this.names[(signed < 0 ? this.names.length : signed) - 1];
  }
}

/** The block with the place it is to return to. */
function behind(block: CopyPart, home: string | undefined): CopyPart {
  const { behind: _, ...attrs } = block.attrs ?? {};
  const kept = home === undefined ? attrs : { ...attrs, behind: home };
  const { attrs: __, ...rest } = block;
  return (Object.keys(kept).length ? { ...rest, attrs: kept } : rest) as CopyPart;
}

/** Of a block that is no longer in the letter, what its writer put into it; undefined when that is nothing. */
function byHand(was: CopyPart, block: CopyPart, now: Now): CopyPart | undefined {
  if (same(was, block)) return undefined;
  const content = holdsWords(block)
    ? wordsByHand(lineOf(was), block.content, now)
    : mergeBlocks(partsOf(was), partsOf(block), [], now);
  if (content.length === 0) return undefined;
  // Its place in the template is gone: it is the writer's own now.
  const { origin: _, ...attrs } = block.attrs ?? {};
  return { type: block.type, ...(Object.keys(attrs).length ? { attrs } : {}), content } as CopyPart;
}

/** A block by where it came from; cells and the subject by their place. A second one of a name is the writer's. */
function byName(blocks: readonly CopyPart[]): Map<string, CopyPart> {
  const names = new Map<string, CopyPart>();
  for (const [i, block] of blocks.entries()) {
    const name = nameOf(block, i);
    if (!names.has(name) && (block.attrs?.origin || isPlaced(block))) names.set(name, block);
  }
  return names;
}

function nameOf(block: CopyPart, at: number): string {
  if (isPlaced(block)) return `${block.type} ${at}`;
  return block.attrs?.origin ? `from ${block.attrs.origin}` : `by hand ${at}`;
}

function isPlaced({ type }: CopyPart): boolean {
  return type === 'subject' || type === 'tableCell';
}

function renewBlock(block: CopyPart, now: Now): CopyPart {
  if (!block.content) return block;
  const content = holdsWords(block)
    ? renewWords(block.content, now)
    : partsOf(block).map((child) => renewBlock(child, now));
  return { ...block, content } as CopyPart;
}

function lineOf(part: CopyPart): readonly CopyWord[] {
  return holdsWords(part) ? part.content : [];
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
