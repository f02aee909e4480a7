import { QueryTypes } from 'sequelize';
import type { FactsOf } from '../../../core/contract/records/recordForms';
import { isoMoment } from '../../../core/dates/zone';
import { keyOfName } from '../../../core/template/keyOfName';
import type { Database } from '../../database';
import { freeKey } from '../freeKey';
import { columnsOf, present } from './factsInRow';
import { KEPT_KINDS, type KeptKind, type Part, type RowKind } from './keptKinds';

type Facts = Readonly<Record<string, unknown>>;

/** A fact that names a record which is not there, or none that belongs here. */
export class NoSuchRecord extends Error {
  constructor(
    readonly fact: string,
    message: string,
  ) {
    super(message);
  }
}

/**
 * A record's facts with its version; undefined where there is none of that key. A fact that is not there is absent.
 * @param zone IANA: moments are given with its offset
 */
export async function keptFacts<Kind extends RowKind>(
  database: Database,
  business_id: string,
  kind: Kind,
  key: string,
  zone: string,
): Promise<FactsOf[Kind] | undefined> {
  const { columns, moments, references, parts, own } = KEPT_KINDS[kind] as KeptKind<never>;
  const referred = references.map(
    ({ fact, table, column }) =>
      `(select key from ${table} where ${table}.business_id = record.business_id and ${table}.id = record.${column}) as ${fact}`,
  );
  const [row] = await database.sequelize.query<Record<string, unknown> & { id: string }>(
    `select ${['id', 'version', ...columns, ...moments]
      .map((name) => `record.${name}`)
      .concat(referred)
      .join(', ')}
     from ${kind} record where record.business_id = $business_id and record.key = $key`,
    { bind: { business_id, key }, type: QueryTypes.SELECT },
  );
  if (!row) return undefined;
  const { id, ...facts } = row;
  for (const name of moments) if (facts[name]) facts[name] = isoMoment((facts[name] as Date).getTime(), zone);
  for (const part of parts) facts[part.fact] = await partOf(database, business_id, own, id, part);
  return present(facts) as unknown as FactsOf[Kind];
}

async function partOf({ sequelize }: Database, business_id: string, own: string, id: string, part: Part) {
  const bind = { business_id, id };
  if ('columns' in part) {
    const rows = await sequelize.query<object>(
      `select ${part.columns.join(', ')} from ${part.table}
       where business_id = $business_id and ${own} = $id order by position`,
      { bind, type: QueryTypes.SELECT },
    );
    return rows.map(present);
  }
  const rows = await sequelize.query<{ key: string }>(
    `select other.key from ${part.table} part
     join ${part.of} other on other.business_id = part.business_id and other.id = part.${part.column}
     where part.business_id = $business_id and part.${own} = $id order by part.position`,
    { bind, type: QueryTypes.SELECT },
  );
  return rows.map(({ key }) => key);
}

/**
 * Writes a record down under an id, where there is none of it yet: an answer that was lost is asked for again. Gives the key.
 * @throws NoSuchRecord
 */
export async function insertKept<Kind extends RowKind>(
  database: Database,
  business_id: string,
  kind: Kind,
  id: string,
  facts: Omit<FactsOf[Kind], 'version'>,
): Promise<string> {
  const { sequelize, models } = database;
  await sequelize.query('select pg_advisory_xact_lock(hashtextextended($id, 0))', { bind: { id } });
  const table = models[kind] as unknown as AnyTable;
  const there = (await table.findOne({ attributes: ['key'], where: { business_id, id }, raw: true })) as {
    key: string;
  } | null;
  if (there) return there.key;
  const { called } = KEPT_KINDS[kind] as unknown as KeptKind<Facts>;
  const client = await nameOfClient(database, business_id, (facts as Facts).client);
  const key = await freeKey(database, kind, business_id, keyOfName(called(facts, client), kind));
  const { values, client_id } = await valuesOf(database, business_id, kind, facts);
  await table.create({ ...values, business_id, id, key });
  await keepParts(database, business_id, kind, id, client_id, facts);
  return key;
}

/** Keeps a record's facts where they are still as they were seen; gives whether they were. @throws NoSuchRecord */
export async function keepKept<Kind extends RowKind>(
  database: Database,
  business_id: string,
  kind: Kind,
  key: string,
  { version, ...facts }: FactsOf[Kind],
): Promise<boolean> {
  const { sequelize, models } = database;
  const [record] = await sequelize.query<{ id: string }>(
    `select id from ${kind} where business_id = $business_id and key = $key and version = $version for update`,
    { bind: { business_id, key, version }, type: QueryTypes.SELECT },
  );
  if (!record) return false;
  const { values, client_id } = await valuesOf(database, business_id, kind, facts);
  const table = models[kind] as unknown as AnyTable;
  await table.update({ ...values, version: version + 1 }, { where: { business_id, id: record.id } });
  await keepParts(database, business_id, kind, record.id, client_id, facts);
  return true;
}

async function nameOfClient({ models }: Database, business_id: string, key: unknown) {
  if (typeof key !== 'string') return undefined;
  const client = (await models.client.findOne({
    attributes: ['name'],
    where: { business_id, key },
    raw: true,
  })) as unknown as { name: string } | null;
  return client?.name;
}

/** The row's columns; what it refers to by key, by id. */
async function valuesOf(database: Database, business_id: string, kind: RowKind, facts: Facts) {
  const { columns, moments, references } = KEPT_KINDS[kind] as KeptKind<never>;
  const values = columnsOf(columns, facts);
  for (const name of moments) values[name] = new Date(facts[name] as string);
  for (const { fact, table, column, missing, ofClient } of references) {
    const key = facts[fact];
    values[column] = null;
    if (key === undefined) continue;
    const client_id = ofClient ? (values.client_id as string) : undefined;
    const [id] = await idsOf(database, business_id, table, [key as string], client_id);
    if (!id) throw new NoSuchRecord(fact, missing);
    values[column] = id;
  }
  return { values, client_id: values.client_id as string | undefined };
}

/** The ids of records by their keys, in their order; those that are not there are left out. */
async function idsOf(
  { sequelize }: Database,
  business_id: string,
  table: string,
  keys: readonly string[],
  client_id?: string,
): Promise<string[]> {
  const rows = await sequelize.query<{ id: string }>(
    `select id from ${table} join unnest($keys::text[]) with ordinality wanted(key, place) using (key)
     where business_id = $business_id ${client_id ? 'and client_id = $client_id' : ''} order by place`,
    { bind: { business_id, keys, ...(client_id ? { client_id } : {}) }, type: QueryTypes.SELECT },
  );
  return rows.map(({ id }) => id);
}

/** The lists beside a row are written anew, in the order given; one that is named twice is there once. */
async function keepParts(
  database: Database,
  business_id: string,
  kind: RowKind,
  id: string,
  client_id: string | undefined,
  facts: Facts,
): Promise<void> {
  const { parts, own } = KEPT_KINDS[kind] as KeptKind<never>;
  for (const part of parts) {
    const table = database.models[part.table] as unknown as AnyTable;
    const whose = { business_id, [own]: id };
    await table.destroy({ where: whose });
    const said = facts[part.fact] as (object | string)[];
    if ('columns' in part) {
      await table.bulkCreate(
        said.map((row, position) => ({ ...columnsOf(part.columns, row as object), ...whose, position })),
      );
      continue;
    }
    const keys = [...new Set(said as string[])];
    const ids = await idsOf(database, business_id, part.of, keys, part.ofClient ? client_id : undefined);
    if (ids.length < keys.length) throw new NoSuchRecord(part.fact, part.missing);
    await table.bulkCreate(
      ids.map((other, position) => ({
        ...whose,
        [part.column]: other,
        ...(part.ofClient ? { client_id } : {}),
        position,
      })),
    );
  }
}

/** What the models of the tables can do alike; their union of types does not say so. */
interface AnyTable {
  findOne(options: object): Promise<object | null>;
  create(row: object): Promise<unknown>;
  update(values: object, options: object): Promise<unknown>;
  destroy(options: object): Promise<number>;
  bulkCreate(rows: object[]): Promise<unknown>;
}
