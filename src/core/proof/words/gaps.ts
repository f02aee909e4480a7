import { isSaidByField, type Line } from '../reading/lines';
import type { Check, ProofMark } from '../proofMark';

/** Placeholders in any common style, each as other programs and people write them. */
const PLACEHOLDERS: readonly RegExp[] = [
  // {{name}}, {name}, ${name}
  /\$?\{\{?\s*[\p{L}_][\p{L}\p{N}_ .:|-]{0,60}\}\}?/gu,
  // [name], [[name]]; “[sic]” and “[…]” are an editor's
  /\[\[?(?!sic\]|…\]|\.\.\.\]|\d+\])[\p{L}_][^[\]\n]{0,60}\]\]?/giu,
  // %name%, #name#, $name$, @@name@@, *|name|*
  /(?<![\p{L}\d])%[\p{L}_][\p{L}\p{N}_ .-]{0,40}%(?![\p{L}\d])/gu,
  /(?<![\p{L}\d#])#[\p{L}_][\p{L}\p{N}_.-]{0,40}#(?![\p{L}\d])/gu,
  /(?<![\p{L}\d])\$[\p{L}_][\p{L}\p{N}_.-]{0,40}\$(?![\p{L}\d])/gu,
  /@@?[\p{L}_][\p{L}\p{N}_.-]{0,40}@@|\*\|[^|\n]{1,40}\|\*/gu,
  // <name>, <<name>>, «Name_1»
  /<<?[\p{L}_][\p{L}\p{N}_ .-]{0,40}>>?|«[\p{L}_]*[_\d][\p{L}\p{N}_]*»|«[\p{Lu}][\p{Ll}]+[\p{Lu}][\p{L}\d]*»/gu,
  // CLIENT_NAME
  /(?<![\p{L}\p{N}_/-])\p{Lu}{2,}(?:_\p{Lu}{2,})+(?![\p{L}\p{N}_/-])/gu,
  // ____, xxxx, ???, TBC
  /_{3,}|(?<![\p{L}\d])[xX]{3,}(?![\p{L}\d])|\?{3,}|(?<!\p{L})(?:TBC|TBD|TODO|N\/N)(?!\p{L})/gu,
];

/** What is left where something was taken out. */
const LEFT_OVER: readonly [RegExp, string][] = [
  [/^(?:hello|hi|dear|hallo|lieber?|bonjour|chère?)(?=[^\S\n]*[,!](?:\s|$))/gimu, 'nobody is named'],
  [/(?<![^\S\n])[^\S\n]+(?=,(?:\s|$))/gu, 'a space stands before a comma, as where something was taken out'],
  [/\([^\S\n]*\)|“[^\S\n]*”|"[^\S\n]*"/gu, 'nothing stands between these'],
];

/** Places that were to be filled and are not: foreign placeholders, and what is left of a sentence. */
export const checkGaps: Check = ({ lines }) =>
  lines.flatMap((line) => [
    ...PLACEHOLDERS.flatMap((pattern) =>
      marks(line, pattern, (words) => `“${words}” reads like a place that was to be filled.`),
    ),
    ...LEFT_OVER.flatMap(([pattern, why]) =>
      marks(line, pattern, (words) =>
        words.trim() ? `“${words}”: ${why}.` : `${why[0]!.toUpperCase()}${why.slice(1)}.`,
      ),
    ),
  ]);

function marks(line: Line, pattern: RegExp, say: (words: string) => string): ProofMark[] {
  return [...line.text.matchAll(pattern)].flatMap((match) => {
    const [words] = match;
    const [from, to] = [match.index, match.index + words.length];
    // What a record says is not for the letter to judge, nor what belongs to an address.
    const isLink = line.links.some((link) => link.from < to && from < link.to);
    if (isSaidByField(line, from, to) || isLink) return [];
    return [
      {
        kind: 'query',
        id: `gap ${words.trim()} ${line.index}`,
        message: say(words),
        at: { line: line.index, from, to },
      },
    ];
  });
}
