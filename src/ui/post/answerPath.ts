import type { ShownLetter } from '../../core/contract/letters';
import { newClientKey } from '../../core/records/which/newClient';
import { replyPath } from '../../core/writing/writePath';

/** Where a message is answered: from what it is about, else from whom it is; from somebody new where nobody knows them. */
export function answerPath({ id, about, client_key, from_name, from_address }: ShownLetter): string {
  if (about) return replyPath(`${about.kind}:${about.key}`, id);
  const address = from_address ?? '';
  const key = client_key ?? newClientKey(from_name ?? '', address) ?? newClientKey('', address) ?? '';
  return replyPath({ kind: 'client', key }, id);
}
