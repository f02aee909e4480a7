import type { Shorthand } from '../template/template';

/** Shorthand by its characters, whatever their case; one's own stands before the house's. */
export type ShorthandByName = ReadonlyMap<string, Shorthand>;

/** What is looked a shorthand up in. */
export function shorthandByName(all: readonly Shorthand[]): ShorthandByName {
  const house = all.filter(({ own }) => !own);
  const own = all.filter((one) => one.own);
  return new Map([...house, ...own].map((one) => [one.name.toLowerCase(), one]));
}

/** What a word may begin behind, without being a part of it: an opening bracket or quotation mark, a dash. */
const OPENING = /^[([{"'“‘„‚«‹–—/-]+/u;

/**
 * The shorthand that a text ends with: a whole word, behind white space, an opening bracket or nothing.
 * @param text what stands in the line before the cursor
 * @param next what stands behind it: a shorthand does not end within a word
 */
export function shorthandBefore(
  text: string,
  next: string,
  all: ShorthandByName,
): { shorthand: Shorthand; length: number } | undefined {
  if (all.size === 0 || /^[\p{L}\p{N}_]/u.test(next)) return undefined;
  const word = /\S+$/u.exec(text)?.[0];
  if (word === undefined) return undefined;
  const opening = OPENING.exec(word)?.[0].length ?? 0;
  for (let from = 0; from <= opening; from++) {
    const shorthand = all.get(word.slice(from).toLowerCase());
    if (shorthand) return { shorthand, length: word.length - from };
  }
  return undefined;
}
