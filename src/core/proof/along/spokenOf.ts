import { alongInWords } from '../../writing/goesAlong';
import { cuesOf, speaksOfAttached } from '../../reading/cues';
import { bodyOf } from '../reading/lines';
import type { Check } from '../proofMark';
import { paperOf } from '../../papers/paperOf';
import { PAPERS } from '../../template/papers';
import { capital } from '../../describe/capital';

/** A letter that speaks of what goes along, and nothing does; or the reverse, of what its writer has added. */
export const checkSpokenOf: Check = ({ lines, along, leftOut, head, language }, situation) => {
  const goes = along.filter(({ id, lacks }) => lacks === undefined && !leftOut.includes(id));
  const body = bodyOf(lines).filter(({ text }) => text.trim());
  for (const { index, text } of body) {
    const found = speaksOfAttached(text);
    if (!found) continue;
    if (goes.length) return [];
    // What is left out is a press away again; else the invoice that the letter is about.
    const paper =
      'lacks' in paperOf('invoice pdf', situation) || head.startsFrom !== 'invoice'
        ? undefined
        : 'invoice pdf';
    return [
      {
        kind: 'query',
        id: 'nothing attached',
        message: `“${text.slice(found.from, found.to)}”: nothing goes along with this letter.`,
        at: { line: index, ...found },
        ...(paper ? { cure: { words: `Attach ${PAPERS[paper]}`, attach: paper } } : {}),
      },
    ];
  }
  const added = goes.filter((one) => one.added);
  // In a language whose words we do not have it may well be spoken of.
  if (added.length === 0 || !cuesOf(language)) return [];
  const names = added.map((one) => `“${alongInWords(one)}”`).join(' and ');
  return [
    {
      kind: 'query',
      id: `not spoken of ${added.map(({ id }) => id).join(' ')}`,
      message: capital(
        `${names} ${added.length === 1 ? 'goes' : 'go'} along, and the letter does not speak of it.`,
      ),
    },
  ];
};
