import type { Situation } from '../../core/records/which/situation';
import { recordPath } from '../records/recordPath';

/**
 * Where a letter’s record is, and where the letter will be found.
 * @param name whom it is to
 * @param made the key of the client that was made with it
 */
export function placesOf({ start, client, book }: Situation, name: string, made: string | undefined) {
  const key = book.clients.get(client?.record.key ?? '')?.key ?? made;
  // An address that a letter starts from has no page of its own.
  const record = start.kind === 'client' ? key !== undefined && { kind: start.kind, key } : start;
  return {
    record: record ? recordPath(record) : '/clients',
    after:
      key === undefined
        ? { href: '/post', words: 'See it in Post' }
        : {
            href: `${recordPath({ kind: 'client', key })}#letters`,
            words: made === undefined ? `Letters of ${name}` : `${name} is a client now`,
          },
  };
}
