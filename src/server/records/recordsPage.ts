import { CLIENTS_AT_ONCE, type FewRecords, type RecordsPage } from '../../core/contract/allRecords';
import { countriesOf } from '../../core/fill/formats/phones/countriesOf';
import { clientsAfter, countClients } from '../../data/repositories/clientsAfter';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** The clients with all that is theirs, where they are few; else how many there are. */
export const fewRecords = forMember(async (member: CurrentMember): Promise<FewRecords> => {
  const clients = await countClients(connection(), member.business_id);
  return clients > CLIENTS_AT_ONCE ? { clients } : recordsPage(member, '');
});

/** The clients after one, with all that is theirs; with the first come the enquiries of those who are no clients yet. */
export const recordsPage = forMember(
  async ({ business_id, key }: CurrentMember, after: string): Promise<RecordsPage> => {
    const database = connection();
    const { ids, last, enquiries } = await clientsAfter(database, business_id, after, CLIENTS_AT_ONCE);
    const clients = await countClients(database, business_id);
    const records = (await recordsOfBusiness(database, business_id, { clients: ids, enquiries }))!;
    return {
      records,
      now: now(),
      member: key,
      phones: countriesOf(records),
      clients,
      ...(last === undefined ? {} : { next: last }),
    };
  },
);
