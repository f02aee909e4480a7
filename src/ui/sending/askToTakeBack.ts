import type { TakeBackAnswer } from '../../core/contract/letters';
import { askServer } from '../writing/askServer';

/** So many milliseconds the server is waited for. */
const PATIENCE = 8_000;

/** Asks for a letter to be taken back. Gives what it is now and whether that was in time; or why that is not known. */
export async function askToTakeBack(
  id: string,
): Promise<{ status: string; inTime: boolean } | 'offline' | 'unanswered'> {
  const answer = await askServer<TakeBackAnswer>(`/api/letters/${id}/take-back`, {}, 'POST', PATIENCE);
  if ('offline' in answer) return 'offline';
  const { status } = answer.body;
  return status ? { status, inTime: answer.status === 200 } : 'unanswered';
}
