import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { OwnField, OwnFieldsFacts, OwnLinksFacts } from '../../../core/contract/records/ownFields';
import { keyOfName } from '../../../core/template/keyOfName';
import type { Database } from '../../database';
import { takeKey } from '../freeKey';
import { present } from './factsInRow';

/** The fields that a business keeps of its own, in their order. */
export async function ownFields({ sequelize }: Database, business_id: string): Promise<OwnFieldsFacts> {
  const bind = { business_id };
  const [business] = await sequelize.query<{ version: number }>(
    'select version from business where id = $business_id',
    { bind, type: QueryTypes.SELECT },
  );
  const fields = await sequelize.query<OwnField>(
    'select key, record, label, type, help, choices from custom_field where business_id = $business_id order by position',
    { bind, type: QueryTypes.SELECT },
  );
  return { version: business!.version, fields: fields.map(present) as unknown as OwnField[] };
}

/** The links of a business, in their order. */
export async function ownLinks({ sequelize }: Database, business_id: string): Promise<OwnLinksFacts> {
  const bind = { business_id };
  const [business] = await sequelize.query<{ version: number }>(
    'select version from business where id = $business_id',
    { bind, type: QueryTypes.SELECT },
  );
  const links = await sequelize.query<OwnLinksFacts['links'][number]>(
    'select key, name, address from link where business_id = $business_id order by position',
    { bind, type: QueryTypes.SELECT },
  );
  return { version: business!.version, links };
}

/** Counts a change of what a business has; gives whether it is still as it was seen. */
export async function countChange(
  { models }: Database,
  business_id: string,
  version: number,
): Promise<boolean> {
  const [changed] = await models.business.update(
    { version: version + 1 },
    { where: { id: business_id, version } },
  );
  return changed === 1;
}

/** The records of a kind that have something in a field of the business's own. */
export async function recordsWithField(
  { sequelize }: Database,
  business_id: string,
  record: string,
  key: string,
  choice?: string,
): Promise<number> {
  const id = record === 'business' ? 'id' : 'business_id';
  const [found] = await sequelize.query<{ records: number }>(
    `select count(*)::int as records from ${record} where ${id} = $business_id
       and ${choice === undefined ? 'custom ? $key' : 'custom ->> $key = $choice'}`,
    {
      bind: { business_id, key, ...(choice === undefined ? {} : { choice }) },
      type: QueryTypes.SELECT,
    },
  );
  return found!.records;
}

/** Writes the fields: those that are there are changed and keep their keys, new ones get one, the others go with their values. */
export async function keepOwnFields(
  { sequelize, models }: Database,
  business_id: string,
  before: readonly OwnField[],
  fields: readonly OwnField[],
): Promise<void> {
  const nameOf = ({ record, key }: OwnField) => `${record} ${key ?? ''}`;
  const kept = new Set(fields.map(nameOf));
  for (const gone of before.filter((field) => !kept.has(nameOf(field)))) {
    const where = gone.record === 'business' ? 'id' : 'business_id';
    await sequelize.query(
      `update ${gone.record} set custom = custom - $key::text where ${where} = $business_id and custom ? $key`,
      { bind: { business_id, key: gone.key! } },
    );
  }
  await models.custom_field.destroy({ where: { business_id } });
  const taken = new Map<string, Set<string>>();
  for (const { record, key } of fields) if (key) taken.set(record, (taken.get(record) ?? new Set()).add(key));
  await models.custom_field.bulkCreate(
    fields.map(({ record, key, label, type, help, choices }, position) => {
      const others = taken.get(record) ?? new Set<string>();
      taken.set(record, others);
      return {
        business_id,
        id: randomUUID(),
        record,
        key: key ?? takeKey(others, fieldKey(label)).replaceAll('-', '_'),
        label,
        type,
        help: help ?? null,
        choices: type === 'choice' ? (choices ?? []) : null,
        position,
      };
    }),
  );
}

/** "where to park" is where_to_park; a key begins with a letter. */
function fieldKey(label: string): string {
  const key = keyOfName(label, 'field').replaceAll('-', '_');
  return /^[a-z]/.test(key) ? key : `field_${key}`;
}

/** Writes the links: those that are there keep their keys. */
export async function keepOwnLinks(
  { models }: Database,
  business_id: string,
  links: OwnLinksFacts['links'],
): Promise<void> {
  await models.link.destroy({ where: { business_id } });
  const taken = new Set(links.flatMap(({ key }) => key ?? []));
  await models.link.bulkCreate(
    links.map(({ key, name, address }, position) => ({
      business_id,
      id: randomUUID(),
      key: key ?? takeKey(taken, keyOfName(name, 'link').replaceAll('-', '_')),
      name,
      address,
      position,
    })),
  );
}
