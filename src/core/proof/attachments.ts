import { MOST_ATTACHED } from '../contract/files';
import { capital } from '../describe/capital';
import { sizeInWords } from '../describe/sizeInWords';
import { isPaper, PAPERS } from '../template/papers';
import { sizeTogether } from '../writing/goesAlong';
import type { Check } from './proofMark';

/** A letter whose template has something go along must not go without it unless its writer knows; nor with more than mailboxes take. */
export const checkAttachments: Check = ({ along, leftOut }) => {
  const wanted = along.filter(({ name }) => !leftOut.includes(name));
  const size = sizeTogether(wanted);
  const [largest] = [...wanted].sort((a, b) => (b.size ?? 0) - (a.size ?? 0));
  return [
    ...wanted.flatMap((one) => (one.size === undefined ? stop(one.name, missing(one.name)) : [])),
    ...(size > MOST_ATTACHED
      ? stop(
          largest!.name,
          `What goes along has ${sizeInWords(size)} together, and at most ${sizeInWords(MOST_ATTACHED)} can: leave out “${largest!.name}”.`,
        )
      : []),
  ];
};

function stop(attachment: string, message: string): ReturnType<Check> {
  return [{ kind: 'stop', id: `attachment ${attachment}`, message, attachment }];
}

function missing(name: string): string {
  const why = isPaper(name)
    ? `${capital(PAPERS[name])} cannot be attached yet.`
    : `“${name}” is not among the business’s files.`;
  return `${why} Leave it out, and read whether the letter speaks of it.`;
}
