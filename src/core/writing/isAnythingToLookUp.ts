import type { AskedToLookUp } from '../contract/lookUp';

/** What is asked of the server about a letter, which knows all clients and all days. */
export type ToLookUp = Omit<AskedToLookUp, 'from'>;

/** Whether there is anything to ask. */
export function isAnythingToLookUp(asked: ToLookUp): boolean {
  return Object.values(asked).some((words) => words.length > 0);
}
