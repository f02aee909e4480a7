import { bodyOf } from '../reading/lines';
import type { Check } from '../proofMark';

/** Fewer letters than these are a name or an abbreviation. */
const ENOUGH = 40;
/** From this part of its letters on a letter is mostly in capitals. */
const MOSTLY = 0.6;

/** A letter in capitals shouts, and mail servers take it for an advertisement. */
export const checkCapitals: Check = ({ lines }) => {
  const text = bodyOf(lines)
    .map((line) => line.text)
    .join('');
  const letters = count(text, /\p{L}/gu);
  const capitals = count(text, /\p{Lu}/gu);
  return letters >= ENOUGH && capitals / letters > MOSTLY
    ? [
        {
          kind: 'query',
          id: 'capitals',
          message: 'Most of this letter is in capitals. It reads as if it shouted.',
        },
      ]
    : [];
};

function count(text: string, letters: RegExp): number {
  return text.match(letters)?.length ?? 0;
}
