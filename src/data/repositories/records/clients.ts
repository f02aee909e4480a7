import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type {
  ClientFacts,
  ContactFacts,
  ItemFacts,
  MoreOfClient,
} from '../../../core/contract/records/client';
import { keyOfName } from '../../../core/template/keyOfName';
import type { Database } from '../../database';
import { freeKey, takeKey } from '../freeKey';
import { columnsOf, present } from './factsInRow';

const PERSON = ['given_name', 'family_name', 'preferred_name', 'honorific'] as const;
const REACHED = ['email', 'phone', 'mobile'] as const;
/** What is known of a client, as columns of its row. */
export const CLIENT = [
  ...([
    'kind',
    'name',
    ...PERSON,
    ...REACHED,
    'address',
    'billing_address',
    'more_phones',
    'more_addresses',
    'language',
    'tags',
  ] as const),
  ...(['since', 'source', 'notes', 'no_letters_since', 'custom'] as const),
];
const CONTACT = ['key', ...PERSON, 'role', ...REACHED, 'uses'] as const;
const ITEM = ['key', 'name', 'kind', 'notes', 'custom'] as const;

/** What is known of a client; undefined where there is none of that key. A fact that is not there is absent. */
export async function clientFacts(
  { models, sequelize }: Database,
  business_id: string,
  key: string,
): Promise<ClientFacts | undefined> {
  const [client] = await sequelize.query<Record<string, unknown> & { id: string }>(
    `select client.id, client.version, ${CLIENT.map((name) => `client.${name}`).join(', ')}, member.key as responsible
     from client left join member on member.business_id = client.business_id and member.id = client.responsible_id
     where client.business_id = $business_id and client.key = $key`,
    { bind: { business_id, key }, type: QueryTypes.SELECT },
  );
  if (!client) return undefined;
  const { id: client_id, ...facts } = client;
  const whose = { where: { business_id, client_id }, order: [['position', 'asc']], raw: true } as const;
  const contacts = await models.contact.findAll({ attributes: [...CONTACT], ...whose } as never);
  const items = await models.item.findAll({ attributes: [...ITEM], ...whose } as never);
  return {
    ...present(facts),
    contacts: contacts.map(present),
    items: items.map(present),
  } as unknown as ClientFacts;
}

/** Further numbers and addresses of some clients, by their keys; who has none is left out. */
export async function moreOfClients(
  { sequelize }: Database,
  business_id: string,
  ids: readonly string[],
): Promise<Map<string, MoreOfClient>> {
  const rows = await sequelize.query<MoreOfClient & { key: string }>(
    `select key, more_phones, more_addresses from client
     where business_id = $business_id and id = any($ids::uuid[]) and (more_phones <> '[]' or more_addresses <> '[]')`,
    { bind: { business_id, ids }, type: QueryTypes.SELECT },
  );
  return new Map(rows.map(({ key, ...more }) => [key, more]));
}

/** Writes a client down under an id, where there is none of it yet: an answer that was lost is asked for again. Gives the key. */
export async function insertClient(
  database: Database,
  business_id: string,
  id: string,
  facts: Omit<ClientFacts, 'version'>,
  by: string,
): Promise<string> {
  const { models, sequelize } = database;
  await sequelize.query('select pg_advisory_xact_lock(hashtextextended($id, 0))', { bind: { id } });
  const there = (await models.client.findOne({
    attributes: ['key'],
    where: { business_id, id },
    raw: true,
  })) as unknown as { key: string } | null;
  if (there) return there.key;
  const key = await freeKey(database, 'client', business_id, keyOfName(facts.name, 'client'));
  const values = await clientColumns(database, business_id, facts);
  const noted = facts.no_letters_since ? { no_letters_by_id: by } : {};
  await models.client.create({ ...values, ...noted, business_id, id, key });
  await keepParts(database, business_id, id, facts);
  return key;
}

/** What came of keeping a client's facts. */
export type ClientKept =
  | { result: 'kept' }
  | { result: 'overtaken' }
  /** an item that is to go stands in bookings, so many of them */
  | { result: 'used'; item: string; bookings: number };

/** Keeps a client's facts where they are still as they were seen. Whatever is absent is a fact that is not there. @param by the member who does, by id */
export async function keepClient(
  database: Database,
  business_id: string,
  key: string,
  { version, ...facts }: ClientFacts,
  by: string,
): Promise<ClientKept> {
  const { models, sequelize } = database;
  const [client] = await sequelize.query<{ id: string; no_letters_since: string | null }>(
    'select id, no_letters_since::text from client where business_id = $business_id and key = $key and version = $version for update',
    { bind: { business_id, key, version }, type: QueryTypes.SELECT },
  );
  if (!client) return { result: 'overtaken' };
  const [used] = await sequelize.query<{ name: string; bookings: number }>(
    `select item.name, count(*)::int as bookings from item
     join booking_item on booking_item.business_id = item.business_id and booking_item.item_id = item.id
     where item.business_id = $business_id and item.client_id = $id and not item.key = any($keys)
     group by item.id, item.name, item.position order by item.position limit 1`,
    {
      bind: { business_id, id: client.id, keys: facts.items.flatMap(({ key: one }) => one ?? []) },
      type: QueryTypes.SELECT,
    },
  );
  if (used) return { result: 'used', item: used.name, bookings: used.bookings };
  const values = await clientColumns(database, business_id, facts);
  if ((facts.no_letters_since ?? null) !== client.no_letters_since)
    values.no_letters_by_id = facts.no_letters_since ? by : null;
  await moveAlong(database, business_id, client.id, values);
  await models.client.update({ ...values, version: version + 1 }, { where: { business_id, id: client.id } });
  await keepParts(database, business_id, client.id, facts);
  return { result: 'kept' };
}

/** What is open and stands at a client's address moves along with it; what was, stays where it was. */
async function moveAlong(
  { sequelize }: Database,
  business_id: string,
  id: string,
  { address, billing_address, more_addresses }: Readonly<Record<string, unknown>>,
): Promise<void> {
  const bind = { business_id, id };
  const home = { before: 'client.address', now: json(address) };
  const others = (more_addresses as NonNullable<ClientFacts['more_addresses']>).map(
    ({ use, address: other }) => ({
      before:
        "(select one -> 'address' from jsonb_array_elements(client.more_addresses) one where one ->> 'use' = $use limit 1)",
      now: json(other),
      use,
    }),
  );
  const billed = {
    before: 'coalesce(client.billing_address, client.address)',
    now: json(billing_address ?? address),
  };
  const places = [home, ...others].flatMap((place) => [
    { table: 'booking', column: 'location', open: "status in ('tentative', 'confirmed')", ...place },
    { table: 'project', column: 'location', open: "status in ('enquiry', 'planned', 'active')", ...place },
  ]);
  for (const { table, column, open, before, now, ...of } of [
    ...places,
    { table: 'invoice', column: 'bill_to', open: "status = 'draft'", ...billed },
  ])
    await sequelize.query(
      `update ${table} set ${column} = $now::jsonb, version = ${table}.version + 1
       from client where client.business_id = $business_id and client.id = $id
         and ${table}.business_id = client.business_id and ${table}.client_id = client.id and ${open}
         and ${table}.${column} = ${before} and ${table}.${column} is distinct from $now::jsonb`,
      { bind: { ...bind, now, ...of } },
    );
}

function json(value: unknown): string | null {
  return value === null || value === undefined ? null : JSON.stringify(value);
}

/** A client's facts as the columns of its row. */
export async function clientColumns(
  { models }: Database,
  business_id: string,
  facts: Omit<ClientFacts, 'version'>,
): Promise<Record<string, unknown>> {
  const responsible = facts.responsible
    ? ((await models.member.findOne({
        attributes: ['id'],
        where: { business_id, key: facts.responsible },
        raw: true,
      })) as unknown as { id: string } | null)
    : null;
  return { ...columnsOf(CLIENT, facts), responsible_id: responsible?.id ?? null };
}

/** People and things that are there are changed, new ones come, the others go; their order is the one given. */
async function keepParts(
  { models }: Database,
  business_id: string,
  client_id: string,
  { contacts, items }: Pick<ClientFacts, 'contacts' | 'items'>,
): Promise<void> {
  await keepOnes(models.contact, contacts, CONTACT, nameOfContact);
  await keepOnes(models.item, items, ITEM, ({ name }) => name);

  async function keepOnes<Part extends ContactFacts | ItemFacts>(
    table: unknown,
    parts: readonly Part[],
    names: readonly string[],
    called: (part: Part) => string,
  ): Promise<void> {
    const model = table as PartTable;
    const rows = await model.findAll({
      attributes: ['id', 'key'],
      where: { business_id, client_id },
      raw: true,
    });
    const ids = new Map(rows.map(({ key, id }) => [key, id]));
    const kept = new Set(parts.flatMap(({ key }) => key ?? []));
    const gone = rows.filter(({ key }) => !kept.has(key)).map(({ id }) => id);
    if (gone.length > 0) await model.destroy({ where: { business_id, id: gone } });
    const taken = new Set(ids.keys());
    const written = parts.map((part, position) => {
      const { key = '' } = part;
      const id = ids.get(key);
      // One that is named twice is there once, and once new.
      ids.delete(key);
      return {
        ...columnsOf(names, part),
        business_id,
        client_id,
        id: id ?? randomUUID(),
        key: id ? key : takeKey(taken, keyOfName(called(part), 'one')),
        position,
      };
    });
    await model.bulkCreate(written, { updateOnDuplicate: [...names, 'position'] });
  }
}

/** What the models of people and things can do alike; their union of types does not say so. */
interface PartTable {
  findAll(options: object): Promise<{ id: string; key: string }[]>;
  destroy(options: object): Promise<number>;
  bulkCreate(rows: object[], options: object): Promise<unknown>;
}

function nameOfContact({ given_name, preferred_name, family_name }: ContactFacts): string {
  return [given_name ?? preferred_name, family_name].filter(Boolean).join(' ');
}
