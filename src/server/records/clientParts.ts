import type { ClientParts } from '../../core/contract/records/formChoices';
import { fullName } from '../../core/people/names';
import { RecordBook } from '../../core/records/recordBook';
import { moreOfClients } from '../../data/repositories/records/clients';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { scopeFrom, startingRecord } from '../../data/repositories/startingRecords';
import { now } from '../clock';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

const OVER: ReadonlySet<string | undefined> = new Set(['finished', 'cancelled']);

/** What of a client's a record of theirs can name. Undefined: there is no such client. */
export const clientParts = forMember(
  async ({ business_id }: CurrentMember, key: string): Promise<ClientParts | undefined> => {
    const start = { kind: 'client', key } as const;
    const record = await startingRecord(connection(), business_id, start);
    if (!record) return undefined;
    const records = await recordsOfBusiness(connection(), business_id, scopeFrom(record));
    const book = new RecordBook(records!, now());
    const client = book.clients.get(key)!;
    const more = await moreOfClients(connection(), business_id, [record.id]);
    const projects = [...book.ofClient(client).projects].reverse();
    const inOrder = [
      ...projects.filter(({ status }) => !OVER.has(status)),
      ...projects.filter(({ status }) => OVER.has(status)),
    ];
    return {
      key,
      name: client.name ?? key,
      ...(client.address ? { address: client.address } : {}),
      addresses: (more.get(key)?.more_addresses ?? []).map(({ use, address }) => [use, address!] as const),
      billing: client.billing_address ?? client.address,
      items: (client.items ?? []).map((item) => [item.key, item.name ?? item.key]),
      contacts: (client.contacts ?? []).map((one) => [one.key, fullName(one) ?? one.key]),
      projects: inOrder.map((project) => [project.key, project.title ?? project.key]),
    };
  },
);
