import type { AskedOfOthers, OfOthersAnswer } from '../../core/contract/ofOthers';
import type { Refusal } from '../../core/contract/refusal';
import type { OfAnother } from '../../core/proof/proofMark';
import { isAnybodyNamed, type Named } from '../../core/proof/reading/namedIn';
import { askServer } from './askServer';

/** Asks the server what in the words of a letter is another client's; undefined where it cannot be asked. */
export async function askWhose(from: string, named: Named): Promise<readonly OfAnother[] | undefined> {
  if (!isAnybodyNamed(named)) return [];
  const asked: AskedOfOthers = { from, ...named };
  const answer = await askServer<OfOthersAnswer | Refusal>('/api/letters/of-others', asked);
  return 'offline' in answer || !('others' in answer.body) ? undefined : answer.body.others;
}
