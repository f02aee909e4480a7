import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { MadeClients, NewClients } from '../../../core/contract/records/newClients';
import { keyOfName } from '../../../core/template/keyOfName';
import type { Database } from '../../database';
import { freeKeys } from '../freeKey';
import { lockClients } from './lockClients';

/**
 * Writes clients down that are not there yet: one that is called the same and has the same address and number is the same.
 * Works as one act; two at once wait for each other.
 * @param since the ISO date from which they are clients
 */
export async function insertClients(
  database: Database,
  business_id: string,
  clients: NewClients,
  since: string,
): Promise<MadeClients> {
  const { sequelize, models } = database;
  await lockClients(database, business_id);
  const known = await sequelize.query<Told>(
    'select name, email, phone from client where business_id = $business_id and name = any($names)',
    { bind: { business_id, names: clients.map(({ name }) => name) }, type: QueryTypes.SELECT },
  );
  const seen = new Set(known.map(sameness));
  const fresh = clients.filter((client) => {
    const isNew = !seen.has(sameness(client));
    seen.add(sameness(client));
    return isNew;
  });
  const wanted = fresh.map(({ name }) => keyOfName(name, 'client'));
  const keys = await freeKeys(database, 'client', business_id, wanted);
  const rows = fresh.map((client, i) => ({ ...client, business_id, id: randomUUID(), key: keys[i]!, since }));
  await models.client.bulkCreate(rows);
  return {
    made: rows.map(({ key, name }) => ({ key, name })),
    there: clients.filter((client) => !fresh.includes(client)).map(({ name }) => name),
  };
}

/** What one client is told from another by. */
interface Told {
  name: string;
  email?: string | null | undefined;
  phone?: string | null | undefined;
}

function sameness({ name, email, phone }: Told): string {
  return JSON.stringify([name, email?.toLowerCase() ?? '', phone ?? '']);
}
