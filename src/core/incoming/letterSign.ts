import type { IncomingMail } from './incomingMail';
import { readReplyMark } from './replyMark';

/** By what a message is known to be about a letter, the surest first. */
export type LetterSign =
  | { sign: 'reply mark'; letter: string }
  | { sign: 'returned message' | 'in reply to' | 'references'; messageIds: readonly string[] };

/** More than these are no thread: only the last of them are looked at. */
const MOST_REFERENCES = 50;

/**
 * The signs by which a message is about a letter of ours, in the order in which they are believed; whether there is
 * such a letter is for the records to say. What has none is known by its address at most.
 */
export function letterSigns({
  to,
  copies,
  headers,
  report,
  inReplyTo,
  references,
}: IncomingMail): LetterSign[] {
  const delivered = ['delivered-to', 'x-original-to', 'envelope-to'].flatMap(
    (name) => headers.get(name) ?? [],
  );
  const addresses = [
    ...to.map(({ address }) => address),
    ...copies.map(({ address }) => address),
    ...delivered,
  ];
  const marks = addresses.flatMap((address) => readReplyMark(address.trim())?.letter ?? []);
  const returned = (report?.about?.get('message-id') ?? []).map(withoutBrackets);
  return [
    ...[...new Set(marks)].map((letter) => ({ sign: 'reply mark' as const, letter })),
    ...byIds('returned message', returned),
    ...byIds('in reply to', inReplyTo),
    ...byIds(
      'references',
      references.filter((id) => !inReplyTo.includes(id)),
    ),
  ];
}

function byIds(
  sign: 'returned message' | 'in reply to' | 'references',
  ids: readonly string[],
): LetterSign[] {
  const known = [...new Set(ids)].filter(Boolean).slice(0, MOST_REFERENCES);
  return known.length ? [{ sign, messageIds: known }] : [];
}

/** A Message-ID without what is around it. */
export function withoutBrackets(id: string): string {
  return id.trim().replace(/^<|>$/g, '').trim();
}
