import type { LookedUp, OfAnother } from '../../core/proof/proofMark';
import type { Named } from '../../core/proof/reading/namedIn';
import type { StartingPoint } from '../../core/records/which/situation';
import type { ToLookUp } from '../../core/writing/isAnythingToLookUp';
import { startOfLetter, type LetterStart } from '../../data/repositories/startingRecords';
import { whoseItIs, type Whose } from '../../data/repositories/whoseItIs';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { takenDays } from '../records/freeDays';
import type { CurrentMember } from '../signIn/currentMember';

const WHAT: Readonly<Record<Whose['by'], string>> = {
  name: 'the name of',
  email: 'an address of',
  phone: 'a number of',
  street: 'the address of',
  invoice: 'an invoice of',
};

/** What a letter’s words are, as far as only all records tell. Undefined: the record that it starts from is not there. */
export const lookUp = forMember(
  async (
    { business_id }: CurrentMember,
    start: StartingPoint,
    asked: ToLookUp,
  ): Promise<LookedUp | undefined> => {
    const record = await startOfLetter(connection(), business_id, start);
    return record && lookedUp(business_id, asked, { start, record });
  },
);

/** The same where the record is known. */
export async function lookedUp(
  business_id: string,
  { days, ...named }: ToLookUp,
  { start, record }: { start: StartingPoint; record: LetterStart },
): Promise<LookedUp> {
  const [others, taken] = await Promise.all([
    othersNamed(business_id, named, record.client_id),
    takenDays(business_id, days, start.kind === 'enquiry' ? start.key : undefined),
  ]);
  return { others, taken };
}

/** What in the words of a letter is another client's. */
async function othersNamed(
  business_id: string,
  named: Named,
  client_id: string | null,
): Promise<OfAnother[]> {
  const found = await whoseItIs(connection(), business_id, named, client_id);
  return found.map(({ words, by, name }) => ({ words, what: WHAT[by], name }));
}
