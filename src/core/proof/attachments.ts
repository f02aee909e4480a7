import { capital } from '../describe/capital';
import type { Check } from './proofMark';

/** What a template says goes along cannot go along yet: a letter that says so must not go without its writer knowing. */
export const checkAttachments: Check = ({ head, leftOut }) =>
  (head.attach ?? [])
    .filter((name) => !leftOut.includes(name))
    .map((name) => ({
      kind: 'stop',
      id: `attachment ${name}`,
      message: `${capital(inWords(name))} cannot be attached yet. Leave it out, and read whether the letter speaks of it.`,
      attachment: name,
    }));

/** "the invoice as PDF", "Price list.pdf" */
function inWords(name: string): string {
  if (name === 'invoice pdf') return 'the invoice as PDF';
  return name === 'booking calendar entry' ? 'the calendar entry' : `“${name}”`;
}
