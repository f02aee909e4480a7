import type { AskedOfOthers, OfOthersAnswer } from '../../core/contract/ofOthers';
import type { OfAnother } from '../../core/proof/proofMark';
import type { Named } from '../../core/proof/reading/namedIn';
import type { StartingPoint } from '../../core/records/which/situation';
import { startingRecord } from '../../data/repositories/startingRecords';
import { whoseItIs, type Whose } from '../../data/repositories/whoseItIs';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

const WHAT: Readonly<Record<Whose['by'], string>> = {
  name: 'the name of',
  email: 'an address of',
  phone: 'a number of',
  street: 'the address of',
  invoice: 'an invoice of',
};

/** What in the words of a letter is another client's. Undefined: the record that it starts from is not there. */
export const ofOthers = forMember(
  async (
    { business_id }: CurrentMember,
    start: StartingPoint,
    named: Omit<AskedOfOthers, 'from'>,
  ): Promise<OfOthersAnswer | undefined> => {
    const record = await startingRecord(connection(), business_id, start);
    return record && { others: await othersNamed(business_id, named, record.client_id) };
  },
);

/** The same where the letter's client is known. */
export async function othersNamed(
  business_id: string,
  named: Named,
  client_id: string | null,
): Promise<OfAnother[]> {
  const found = await whoseItIs(connection(), business_id, named, client_id);
  return found.map(({ words, by, name }) => ({ words, what: WHAT[by], name }));
}
