import { isSaidByField } from '../reading/lines';
import type { Check } from '../proofMark';

/** Words that stand twice in a sentence in order: “had had”, “die die”, “nous nous”. */
const IN_ORDER = new Set(
  'had that her so very no ha bye now there die der das sie den dem des es nous vous très bien tut'.split(
    ' ',
  ),
);

/** A word that is typed twice, as happens where a sentence was begun anew. */
export const checkTwice: Check = ({ lines }) =>
  lines.flatMap((line) => {
    const { index, text } = line;
    return [...text.matchAll(/(?<![\p{L}\p{N}’'-])(\p{L}{2,})[^\S\n]+(\1)(?![\p{L}\p{N}’'-])/giu)].flatMap(
      (match) => {
        const [whole, word = '', again = ''] = match;
        const [from, to] = [match.index, match.index + whole.length];
        // A name may be one twice: “Baden Baden”.
        const isName = /^\p{Lu}/u.test(again);
        if (IN_ORDER.has(word.toLowerCase()) || isName || isSaidByField(line, from, to)) return [];
        return [
          {
            kind: 'query' as const,
            id: `twice ${word.toLowerCase()} ${index}`,
            message: `“${whole.replace(/\s+/g, ' ')}”: a word stands twice.`,
            at: { line: index, from, to },
            cure: { words: 'Once', put: word },
          },
        ];
      },
    );
  });
