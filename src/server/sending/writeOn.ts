import type { WriteOnAnswer } from '../../core/contract/letters';
import { laterLetter, takeOut } from '../../data/repositories/sending/laterLetters';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { isLetterId, oneLetter } from '../letters/oneLetter';
import type { CurrentMember } from '../signIn/currentMember';

/**
 * Takes a letter for later out of what is to go, and gives what it was written with: now, and as often as it is asked for until then.
 * @returns undefined: there is no such letter, or it goes already
 */
export const writeOn = forMember(
  async (member: CurrentMember, id: string): Promise<WriteOnAnswer | undefined> => {
    const letter = { business_id: member.business_id, id };
    if (!isLetterId(id)) return undefined;
    await takeOut(connection(), letter, new Date(now()));
    const [later, shown] = await Promise.all([laterLetter(connection(), letter), oneLetter(member, id)]);
    if (!later || shown?.status !== 'taken back') return undefined;
    const { goesAt: _, ...choices } = later.choices;
    const to = shown.recipients.filter(({ role }) => role === 'to');
    return {
      business: member.business_id,
      member: member.key,
      from: `${later.starting_kind}:${later.starting_key}`,
      letter: { choices, document: later.document },
      base: later.base,
      name: to.map(({ name, address }) => name || address).join(' and '),
      template: shown.template ?? 'A blank letter',
    };
  },
);
