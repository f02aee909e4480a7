import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { newClientKey, type NewClient } from '../../../core/records/which/newClient';
import { keyOfName } from '../../../core/template/keyOfName';
import type { Database } from '../../database';
import { freeKey } from '../freeKey';
import { tieToClient } from '../incoming/tieMessages';
import { lockClients } from '../records/lockClients';
import { clientOfAddress } from '../startingRecords';

/** A client that a letter is to. */
export interface ClientOfLetter {
  id: string;
  key: string;
  name: string;
  /** with the letter */
  made: boolean;
}

/**
 * Makes a client of an address that is in no record, in the transaction that takes the letter. Two letters at once wait for each other,
 * and the second is to the client of the first.
 * @param since the ISO date from which they are one
 */
export async function makeClientOfLetter(
  database: Database,
  business_id: string,
  { name, email, kind }: NewClient,
  since: string,
): Promise<ClientOfLetter> {
  await lockClients(database, business_id);
  const known = await clientOfAddress(database, business_id, email);
  if (known) return { ...known, made: false };
  const client = { id: randomUUID(), name: name ?? email };
  const key = await freeKey(database, 'client', business_id, keyOfName(client.name, 'client'));
  await database.models.client.create({ ...client, business_id, key, kind, email, since });
  await tieToClient(database, business_id, { client_id: client.id, email });
  return { ...client, key, made: true };
}

/** What may have come to a client since it was made. */
const OF_CLIENT = ['enquiry', 'project', 'booking', 'invoice', 'record_file'];

/**
 * Takes the client away that was made with a letter, where nothing has come to it since: the letter was taken back, and nobody has
 * been written to.
 */
export async function unmakeClientOfLetter(
  { sequelize, models }: Database,
  { business_id, id }: { business_id: string; id: string },
): Promise<void> {
  // Whatever would come to it meanwhile waits for this.
  const [client] = await sequelize.query<{ id: string; name: string; email: string }>(
    `select id, name, email from client where business_id = $business_id and version = 1
       and id = (select client_id from message where business_id = $business_id and id = $id and made_client) for update`,
    { bind: { business_id, id }, type: QueryTypes.SELECT },
  );
  if (!client) return;
  const bind = { business_id, id, client_id: client.id };
  const theirs = OF_CLIENT.map(
    (table) => `exists (select from ${table} where business_id = $business_id and client_id = $client_id)`,
  );
  const [other] = await sequelize.query(
    `select 1 where ${theirs.join(' or ')} or exists (
       select from message where business_id = $business_id and client_id = $client_id and id <> $id and direction = 'out')`,
    { bind, type: QueryTypes.SELECT },
  );
  if (other) return;
  // What had come in from them is nobody's again.
  await models.message.update(
    { client_id: null },
    { where: { business_id, client_id: client.id, direction: 'in' } },
  );
  const of = { business_id, id };
  await models.message.update({ client_id: null, made_client: false }, { where: of });
  await models.client.destroy({ where: { business_id, id: client.id } });
  // One for later is written on from where it began.
  const { name, email } = client;
  const starting_key = newClientKey(name === email ? '' : name, email);
  await models.letter_for_later.update({ starting_key }, { where: { business_id, message_id: id } });
}
