import type { AskedToLookUp } from '../../core/contract/lookUp';
import type { Refusal } from '../../core/contract/refusal';
import { NOTHING_KNOWN, type LookedUp } from '../../core/proof/proofMark';
import { isAnythingToLookUp, type ToLookUp } from '../../core/writing/isAnythingToLookUp';
import { askServer } from './askServer';

/** Asks the server about what a letter says that only all records tell; undefined where it cannot be asked. */
export async function lookUp(from: string, toLookUp: ToLookUp): Promise<LookedUp | undefined> {
  if (!isAnythingToLookUp(toLookUp)) return NOTHING_KNOWN;
  const asked: AskedToLookUp = { from, ...toLookUp };
  const answer = await askServer<LookedUp | Refusal>('/api/letters/look-up', asked);
  return 'offline' in answer || 'error' in answer.body ? undefined : answer.body;
}
