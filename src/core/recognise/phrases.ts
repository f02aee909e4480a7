import type { Word } from './words';
import { wordsIn } from './words';

/** Something to be found by its words. */
export interface Phrase<Of> {
  words: string;
  of: Of;
}

/** Where a phrase stands in a text. */
export interface FoundPhrase<Of> {
  from: number;
  to: number;
  /** its words, folded */
  words: readonly string[];
  /** whatever has these words */
  of: readonly Of[];
}

/** What may stand between the words of a phrase, whatever stands there in the phrase itself: nothing that ends a paragraph. */
const BETWEEN = /^(?!.*\n[^\S\n]*\n)[\s,.;:@'’&+()/·–-]{0,6}$/su;
/** Words of so many letters are hardly ever met by chance. */
const MOST_WORDS = 80;

interface Indexed<Of> {
  words: readonly string[];
  of: Of[];
}

/** Phrases to be found in texts, whatever their case, accents and the spaces and commas between their words. */
export class PhraseIndex<Of> {
  private readonly byFirst = new Map<string, Indexed<Of>[]>();

  constructor(phrases: readonly Phrase<Of>[]) {
    const byWords = new Map<string, Indexed<Of>>();
    for (const { words, of } of phrases) {
      const folded = wordsIn(words).map((word) => word.folded);
      const [first] = folded;
      if (first === undefined || folded.length > MOST_WORDS) continue;
      const key = folded.join(' ');
      const same = byWords.get(key);
      if (same) {
        same.of.push(of);
        continue;
      }
      const indexed = { words: folded, of: [of] };
      byWords.set(key, indexed);
      const known = this.byFirst.get(first);
      if (known) known.push(indexed);
      else this.byFirst.set(first, [indexed]);
    }
  }

  /** All places of all phrases, also those within others. */
  *find(text: string, words: readonly Word[]): Generator<FoundPhrase<Of>> {
    for (let at = 0; at < words.length; at++) {
      for (const phrase of this.byFirst.get(words[at]!.folded) ?? []) {
        if (!stands(phrase.words, text, words, at)) continue;
        const [from, to] = [words[at]!.from, words[at + phrase.words.length - 1]!.to];
        if (isWhole(text, from, to)) yield { from, to, words: phrase.words, of: phrase.of };
      }
    }
  }
}

function stands(phrase: readonly string[], text: string, words: readonly Word[], at: number): boolean {
  for (let i = 1; i < phrase.length; i++) {
    const word = words[at + i];
    if (!word || word.folded !== phrase[i]) return false;
    if (!BETWEEN.test(text.slice(words[at + i - 1]!.to, word.from))) return false;
  }
  return true;
}

/** Whether nothing before or behind makes it part of something else: of a word with figures, a number, an address. */
function isWhole(text: string, from: number, to: number): boolean {
  const before = text.slice(Math.max(0, from - 2), from);
  const after = text.slice(to, to + 2);
  if (/[\p{L}\p{N}@_/]$/u.test(before) || /^[\p{L}\p{N}@_]/u.test(after)) return false;
  if (/\p{N}/u.test(text[from]!) && /\p{N}[.,:/-]$/u.test(before)) return false;
  return !(/\p{N}/u.test(text[to - 1]!) && /^[.,:/-]\p{N}/u.test(after));
}
