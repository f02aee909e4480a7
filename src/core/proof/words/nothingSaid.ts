import { isBlankLetter } from '../../template/blankLetter';
import type { Check, Proofed } from '../proofMark';

/** A blank letter begins with a greeting and a signature: where there is no more, its writer has not said anything yet. */
export const checkNothingSaid: Check = (letter) => {
  // Where not even the subject is written, that is said.
  if (!isBlankLetter(letter.template ?? '') || letter.along.length > 0 || !letter.subject.trim()) return [];
  return wordsOf(letter.lines) === wordsOf(letter.asFilled)
    ? [{ kind: 'query', id: 'nothing said', message: 'It says nothing yet but a greeting.' }]
    : [];
};

function wordsOf(lines: Proofed['lines']): string {
  return lines
    .filter(({ isSubject }) => !isSubject)
    .map(({ text }) => text.trim())
    .filter(Boolean)
    .join('\n');
}
