import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { MadeClients, NewClients } from '../../../core/contract/records/newClients';
import { keyOfName } from '../../../core/template/keyOfName';
import type { Database } from '../../database';

/**
 * Writes clients down that are not there yet: one that is called the same and has the same address and number is the same.
 * Works as one act; two at once wait for each other.
 */
export async function insertClients(
  { sequelize, models }: Database,
  business_id: string,
  clients: NewClients,
  since: string,
): Promise<MadeClients> {
  await sequelize.query("select pg_advisory_xact_lock(hashtextextended('clients ' || $business_id, 0))", {
    bind: { business_id },
  });
  const wanted = clients.map(({ name }) => keyOfName(name, 'client'));
  const [taken, known] = await Promise.all([
    sequelize.query<{ key: string }>(
      `select key from client where business_id = $business_id
         and (key = any($wanted) or key like any(select one || '-%' from unnest($wanted::text[]) as one))`,
      { bind: { business_id, wanted }, type: QueryTypes.SELECT },
    ),
    sequelize.query<{ name: string; email: string | null; phone: string | null }>(
      'select name, lower(email) as email, phone from client where business_id = $business_id and name = any($names)',
      { bind: { business_id, names: clients.map(({ name }) => name) }, type: QueryTypes.SELECT },
    ),
  ]);
  const keys = new Set(taken.map(({ key }) => key));
  const seen = new Set(known.map(sameness));
  const rows = [];
  const there: string[] = [];
  for (const [i, client] of clients.entries()) {
    const same = sameness(client);
    if (seen.has(same)) {
      there.push(client.name);
      continue;
    }
    seen.add(same);
    const key = freeAmong(keys, wanted[i]!);
    keys.add(key);
    rows.push({ ...client, business_id, id: randomUUID(), key, since });
  }
  await models.client.bulkCreate(rows);
  return { made: rows.map(({ key, name }) => ({ key, name })), there };
}

function sameness({
  name,
  email,
  phone,
}: {
  name: string;
  email?: string | null | undefined;
  phone?: string | null | undefined;
}): string {
  return JSON.stringify([name, email?.toLowerCase() ?? '', phone ?? '']);
}

function freeAmong(taken: ReadonlySet<string>, wanted: string): string {
  for (let n = 1; ; n++) {
    const key = n === 1 ? wanted : `${wanted}-${n}`;
    if (!taken.has(key)) return key;
  }
}
