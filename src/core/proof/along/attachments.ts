import { MOST_ATTACHED } from '../../files/limits';
import { sizeInWords } from '../../describe/sizeInWords';
import { sizeTogether } from '../../writing/goesAlong';
import type { Check } from '../proofMark';

/** More than many mail servers take is said before the letter comes back, in bytes. */
const MANY_REFUSE = 10_000_000;

/** A letter whose template has something go along must not go without it unless its writer knows; nor with more than mailboxes take. */
export const checkAttachments: Check = ({ along, leftOut }) => {
  const wanted = along.filter(({ id }) => !leftOut.includes(id));
  const size = sizeTogether(wanted);
  const [largest] = [...wanted].sort((a, b) => (b.size ?? 0) - (a.size ?? 0));
  const missing = wanted.flatMap(({ id, lacks }) =>
    lacks === undefined ? [] : stop(id, `${lacks} Leave it out, and read whether the letter speaks of it.`),
  );
  if (size > MOST_ATTACHED)
    return [
      ...missing,
      ...stop(
        largest!.id,
        `What goes along has ${sizeInWords(size)} together, and at most ${sizeInWords(MOST_ATTACHED)} can: leave out “${largest!.name}”.`,
      ),
    ];
  if (size <= MANY_REFUSE) return missing;
  const message = `What goes along has ${sizeInWords(size)} together. Some mail servers take no more than ${sizeInWords(MANY_REFUSE)}.`;
  return [...missing, { kind: 'query', id: `large ${size}`, message }];
};

function stop(attachment: string, message: string): ReturnType<Check> {
  const cure = { words: 'Leave it out', leaveOut: attachment };
  return [{ kind: 'stop', id: `attachment ${attachment}`, message, cure }];
}
