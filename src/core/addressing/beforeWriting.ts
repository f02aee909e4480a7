import { askedForNone } from '../describe/askedForNone';
import { fullName } from '../people/names';
import type { Situation } from '../records/which/situation';

/**
 * What is to be known before a letter is begun from a record: that its reader wants none, has no address, or that the last one to it
 * came back. Each in a sentence; none: nothing is.
 * @param bounced the addresses, in lower case, from which the last letter came back
 */
export function beforeWriting(situation: Situation, bounced: ReadonlySet<string>): string[] {
  const wantsNone = askedForNone(situation) ?? [];
  const { recipients } = situation;
  if (recipients.length === 0) return [wantsNone, 'There is nobody to write to yet.'].flat();
  const ofRecipients = recipients.flatMap(({ record: { data } }) => {
    if (!data.email) return `${fullName(data) ?? 'The client'} has no email address.`;
    return bounced.has(data.email.toLowerCase()) ? `The last letter to ${data.email} came back.` : [];
  });
  return [wantsNone, ofRecipients].flat();
}
