import type { CopyDocument } from '../document/copyDocument';
import { linesOf } from '../proof/reading/lines';
import { namedIn } from '../proof/reading/namedIn';
import { promisedIn } from './heldDays';
import type { ToLookUp } from './isAnythingToLookUp';
import type { FilledLetter } from './writingDesk';

/** What of a letter as it stands has to be looked up before the proof has looked at everything. */
export function toLookUp(document: CopyDocument, filled: FilledLetter): ToLookUp {
  return {
    ...namedIn(linesOf(document), filled.situation),
    days: promisedIn(document, filled).map(({ day }) => day),
  };
}
