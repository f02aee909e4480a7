import { readForeignHtml } from '../../core/adopting/readForeignHtml';
import { plainLine } from '../../core/document/plainLine';
import { dayLately } from '../../core/describe/dayLately';
import type { LetterForTemplate } from '../../core/contract/fromLetter';
import { plainText } from '../../core/recognise/plainText';
import { isStartingKind } from '../../core/records/recordKind';
import type { StartingPoint } from '../../core/records/which/situation';
import { letterById, type KeptLetter } from '../../data/repositories/letters';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { isLetterId } from '../letters/oneLetter';
import type { CurrentMember } from '../signIn/currentMember';

/** A letter that was written to a client, for a template to be made of it. Undefined: there is none, or it is about nobody. */
export const letterForTemplate = forMember(
  async (member: CurrentMember, id: string): Promise<LetterForTemplate | undefined> => {
    const letter = isLetterId(id) ? await letterById(connection(), member.business_id, id) : undefined;
    const start = letter && startOf(letter);
    if (!letter || !start || letter.direction !== 'out') return undefined;
    const { document } = letter.html ? readForeignHtml(letter.html) : plainText(letter.text);
    return {
      id,
      subject: plainLine(letter.subject ?? ''),
      document,
      start,
      at: letter.at.getTime(),
      member: letter.member_key ?? member.key,
      to: letter.client ?? letter.recipients.map(({ name, address }) => name || address).join(', '),
      day: dayLately(await businessBook(member.business_id))(letter.at.getTime()),
    };
  },
);

function startOf({ about, client_key }: KeptLetter): StartingPoint | undefined {
  if (about && isStartingKind(about.kind)) return { kind: about.kind, key: about.key };
  return client_key ? { kind: 'client', key: client_key } : undefined;
}
