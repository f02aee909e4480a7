import { foreignMarks } from '../../reading/foreignMarks';
import { isSaidByField, type Line } from '../reading/lines';
import type { Check, ProofMark } from '../proofMark';

/** What is left where something was taken out. */
const LEFT_OVER: readonly [RegExp, string][] = [
  [/^(?:hello|hi|dear|hallo|lieber?|bonjour|chère?)(?=[^\S\n]*[,!](?:\s|$))/gimu, 'nobody is named'],
  [/(?<![^\S\n])[^\S\n]+(?=,(?:\s|$))/gu, 'a space stands before a comma, as where something was taken out'],
  [/\([^\S\n]*\)|“[^\S\n]*”|"[^\S\n]*"/gu, 'nothing stands between these'],
];

/** Places that were to be filled and are not: foreign placeholders, and what is left of a sentence. */
export const checkGaps: Check = ({ lines }) =>
  lines.flatMap((line) => [
    ...foreignMarks(line.text).flatMap(({ from, words }) =>
      mark(line, from, words, `“${words}” reads like a place that was to be filled.`),
    ),
    ...LEFT_OVER.flatMap(([pattern, why]) =>
      [...line.text.matchAll(pattern)].flatMap(({ index, 0: words }) =>
        mark(
          line,
          index,
          words,
          words.trim() ? `“${words}”: ${why}.` : `${why[0]!.toUpperCase()}${why.slice(1)}.`,
        ),
      ),
    ),
  ]);

function mark(line: Line, from: number, words: string, message: string): ProofMark[] {
  const to = from + words.length;
  // What a record says is not for the letter to judge, nor what belongs to an address.
  const isLink = line.links.some((link) => link.from < to && from < link.to);
  if (isSaidByField(line, from, to) || isLink) return [];
  return [
    { kind: 'query', id: `gap ${words.trim()} ${line.index}`, message, at: { line: line.index, from, to } },
  ];
}
