import type { AskedToLookUp } from '../contract/lookUp';
import type { CopyDocument } from '../document/copyDocument';
import { linesOf } from '../proof/reading/lines';
import { namedIn } from '../proof/reading/namedIn';
import { promisedIn } from './heldDays';
import type { FilledLetter } from './writingDesk';

/** What is asked of the server about a letter, which knows all clients and all days. */
export type ToLookUp = Omit<AskedToLookUp, 'from'>;

/** What of a letter as it stands has to be looked up before the proof has looked at everything. */
export function toLookUp(document: CopyDocument, filled: FilledLetter): ToLookUp {
  return {
    ...namedIn(linesOf(document), filled.situation),
    days: promisedIn(document, filled).map(({ day }) => day),
  };
}

/** Whether there is anything to ask. */
export function isAnythingToLookUp(asked: ToLookUp): boolean {
  return Object.values(asked).some((words) => words.length > 0);
}
