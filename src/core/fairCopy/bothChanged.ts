import type { CopyDocument, CopyPart } from '../document/copyDocument';
import { holdsWords, partsOf, wordsOf } from '../document/eachNode';

/** A part of a letter that its writer has changed, and that the template or a record would have say something else since. */
export interface BothChanged {
  /** which part of the template it is; empty: the subject */
  origin: string;
  /** what stands on the page, and what would now */
  mine: string;
  theirs: string;
}

/** Which part of its template a block is; empty: the subject; undefined: it is its writer's own. */
function partOf({ type, attrs }: CopyPart): string | undefined {
  return type === 'subject' ? '' : attrs?.origin;
}

/** What parts of a letter said as they were filled when both had changed them, by the part. */
export type BothNoted = Map<string, string>;

/** Notes a block, as it is filled now, of which its writer had changed the same words. */
export function noteBoth(noted: BothNoted, block: CopyPart): void {
  const origin = partOf(block);
  if (origin !== undefined) noted.set(origin, said(block));
}

/** Of the parts noted those that would still say that, and say something else on the page: taking a record back undoes it. */
export function bothChanged(document: CopyDocument, filled: CopyDocument, noted: BothNoted): BothChanged[] {
  return [...noted].flatMap(([origin, then]): BothChanged[] => {
    const [mine, theirs] = [document, filled].map(({ content }) => {
      const block = content.find((one) => partOf(one) === origin);
      return block && said(block);
    });
    return mine === undefined || theirs !== then || mine === theirs ? [] : [{ origin, mine, theirs }];
  });
}

/** The letter with one part as it is filled now, its fields alive. */
export function takeTheirs(document: CopyDocument, filled: CopyDocument, origin: string): CopyDocument {
  const isIt = (block: CopyPart) => partOf(block) === origin;
  const [at, theirs] = [document.content.findIndex(isIt), filled.content.find(isIt)];
  if (at < 0 || !theirs) return document;
  return { ...document, content: document.content.with(at, theirs) };
}

/** Its words, those of each line apart. */
function said(block: CopyPart): string {
  return holdsWords(block) ? wordsOf(block) : partsOf(block).map(said).join(' / ');
}
