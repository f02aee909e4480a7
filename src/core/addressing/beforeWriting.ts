import { readDay } from '../dates/civil';
import { formatsOf } from '../fill/formats/formatsOf';
import { fullName } from '../people/names';
import type { Situation } from '../records/which/situation';

/**
 * What is to be known before a letter is begun from a record: that its reader wants none, has no address, or that the last one to it
 * came back. Each in a sentence; none: nothing is.
 * @param bounced the addresses, in lower case, from which the last letter came back
 */
export function beforeWriting(
  { client, recipients, book }: Situation,
  bounced: ReadonlySet<string>,
): string[] {
  const since = client?.record.no_letters_since;
  const day = readDay(since ?? '');
  const when = day === undefined ? '' : ` on ${formatsOf(book).date(day, 'date')}`;
  const wantsNone = since ? [`${client.record.name ?? 'The client'} asked for no letters${when}.`] : [];
  if (recipients.length === 0) return [...wantsNone, 'There is nobody to write to yet.'];
  return [
    ...wantsNone,
    ...recipients.flatMap(({ record: { data } }) => {
      const name = fullName(data) ?? 'The client';
      if (!data.email) return [`${name} has no email address.`];
      return bounced.has(data.email.toLowerCase()) ? [`The last letter to ${data.email} came back.`] : [];
    }),
  ];
}
