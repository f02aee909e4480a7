import { withArticle } from '../../src/core/fill/formats/article';

/** Something in a letter that a reader would stumble over. */
export interface Stumble {
  rule: string;
  /** the words around it */
  words: string;
}

interface Rule {
  name: string;
  /** where it is broken, in the letter's subject and text */
  find: (text: string) => Iterable<number>;
}

/** Ends in s and is no plural. */
const SINGULAR =
  /^(?:this|is|was|has|as|us|its|it’s|yes|less|gas|bus|always|perhaps|class|glass|business|address|process|news|keys|Moss|pass|across|plus|thus|works|house’s)$/i;

const NUMBER = '(?:two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|[2-9]|\\d{2,})';

const RULES: readonly Rule[] = [
  { name: 'a or an', find: wrongArticles },
  {
    name: 'one with a plural',
    find: matches(/\b(?:1|one) (?:[a-z]+ )?(\w+s)\b/g, ([, word]) => !SINGULAR.test(word!)),
  },
  {
    name: 'several with a singular',
    find: matches(
      new RegExp(
        `(?<![£\\d.,:])\\b${NUMBER} (?:day|week|month|hour|minute|part|step|instrument|invoice)\\b`,
        'g',
      ),
    ),
  },
  {
    name: 'plural with is, was or has',
    find: matches(/\b([\p{Ll}]+s) (?:was|is|has)\b/gu, ([, word]) => !SINGULAR.test(word!)),
  },
  {
    name: 'several with was',
    find: matches(new RegExp(`\\b(?:${NUMBER} \\w+s|\\w+ and the \\w+) (?:was|is|has)\\b`, 'g')),
  },
  { name: 'a word twice', find: matches(/\b(\p{L}+) \1\b/giu, ([, word]) => !/^(?:had|that)$/i.test(word!)) },
  { name: 'is due … ago', find: matches(/\bis due\b[^.]*\bago\b/g) },
  { name: 'nothing owed', find: matches(/£0(?:\.00)?(?![\d,.]\d)/g) },
  { name: 'a sum of itself', find: matches(/(£[\d,.]*\d) of \1/g) },
  { name: 'together with itself', find: matches(/Invoice (\S+?)[:,][\s\S]*Together with [^.]*\1\b/gi) },
  { name: 'a household’s The', find: matches(/\b(?:Hello|Dear) The\b/g) },
  { name: 'comes to the workshop', find: matches(/\bcomes to [^.\n]*6 Quay Lane/g) },
  {
    name: 'a gap in the words',
    find: (text) => gaps(withoutTables(text)),
  },
  {
    name: 'a sentence without a capital',
    find: matches(/[.?!] \p{Ll}/gu, ([found]) => !/^\. (?:com|example)/.test(found)),
  },
];

/** What a rule of English finds wrong with a letter. */
export function stumblesOf(subject: string, text: string): Stumble[] {
  const letter = `${subject}\n\n${text}`;
  return RULES.flatMap(({ name, find }) =>
    [...find(letter)].map((at) => ({
      rule: name,
      words: letter
        .slice(Math.max(0, at - 24), at + 40)
        .replace(/\s+/g, ' ')
        .trim(),
    })),
  );
}

const gaps = matches(/ {2,}\S| [,.;:](?!\d)|\(\s*\)|,,|\.\.(?!\.)|\bundefined\b|\bnull\b|\bNaN\b|\[object/g);

/** Neighbouring lines with gaps in them are the rows of a table. */
function withoutTables(text: string): string {
  const lines = text.split('\n');
  const hasGap = (line: string | undefined) => / {2,}\S/.test(line ?? '');
  return lines
    .map((line, i) =>
      hasGap(line) && (hasGap(lines[i - 1]) || hasGap(lines[i + 1])) ? 'x'.repeat(line.length) : line,
    )
    .join('\n');
}

function matches(pattern: RegExp, counts: (found: RegExpMatchArray) => boolean = () => true) {
  return function* (text: string): Generator<number> {
    for (const found of text.matchAll(pattern)) if (counts(found)) yield found.index;
  };
}

function* wrongArticles(text: string): Generator<number> {
  for (const found of text.matchAll(/\b(an?) ([\p{L}\p{N}][\p{L}\p{N}’'-]*)/giu)) {
    const [, article, word] = found;
    if (!withArticle(word!).startsWith(`${article!.toLowerCase()} `) && withArticle(word!) !== word)
      yield found.index;
  }
}
