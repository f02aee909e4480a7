import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { GroupLook } from '../../../core/template/proposeGroup';
import type { Database } from '../../database';
import { freeKey } from '../freeKey';

/** What came of a change on a version: nothing, where there is no such group or somebody has changed it since. */
export type Changed = 'done' | 'overtaken' | 'gone';

/**
 * Makes a group, the last in the order. Gives its key.
 * @throws UniqueConstraintError when another has the name
 */
export async function insertGroup(
  database: Database,
  business_id: string,
  wanted: string,
  group: GroupLook & { name: string },
): Promise<string> {
  const key = await freeKey(database, 'template_group', business_id, wanted);
  await database.sequelize.query(
    `insert into template_group (business_id, id, key, name, initial, tint, position)
     select $business_id::uuid, $id::uuid, $key, $name, $initial, $tint,
       coalesce(max(position) + 1, 0) from template_group where business_id = $business_id`,
    { bind: { business_id, id: randomUUID(), key, ...group } },
  );
  return key;
}

/** Changes a group's name and look. @throws UniqueConstraintError when another has the name */
export async function updateGroup(
  database: Database,
  business_id: string,
  key: string,
  { version, ...group }: GroupLook & { name: string; version: number },
): Promise<Changed> {
  const found = await database.sequelize.query(
    `update template_group set name = $name, initial = $initial, tint = $tint, version = version + 1
     where business_id = $business_id and key = $key and version = $version returning id`,
    { bind: { business_id, key, version, ...group }, type: QueryTypes.SELECT },
  );
  return found.length ? 'done' : whyNot(database, business_id, key);
}

/** Removes a group. What stood in it goes to another, behind what is there, or to none. */
export async function deleteGroup(
  database: Database,
  business_id: string,
  key: string,
  version: number,
  to: string | null,
): Promise<Changed> {
  const { sequelize } = database;
  return database.inTransaction(async () => {
    const [group] = await sequelize.query<{ id: string }>(
      `select id from template_group
       where business_id = $business_id and key = $key and version = $version for update`,
      { bind: { business_id, key, version }, type: QueryTypes.SELECT },
    );
    if (!group) return whyNot(database, business_id, key);
    const [other] = await sequelize.query<{ id: string }>(
      'select id from template_group where business_id = $business_id and key = $to and key <> $key for share',
      { bind: { business_id, key, to }, type: QueryTypes.SELECT },
    );
    if (to !== null && !other) return 'gone';
    const bind = { business_id, from: group.id, to: other?.id ?? null };
    await sequelize.query(
      `update template set group_id = $to::uuid, position = position + 1 + coalesce((select max(position) from template
         where business_id = $business_id and group_id is not distinct from $to::uuid), 0)
       where business_id = $business_id and group_id = $from::uuid`,
      { bind },
    );
    for (const table of ['passage', 'shorthand'])
      await sequelize.query(
        `update ${table} set group_id = $to::uuid where business_id = $business_id and group_id = $from::uuid`,
        { bind },
      );
    await sequelize.query(
      'delete from template_group where business_id = $business_id and id = $from::uuid',
      {
        bind: { business_id, from: group.id },
      },
    );
    return 'done';
  });
}

/** Puts groups in an order, by their keys. Those that are not named stand behind them, as they stood. */
export async function orderGroups(
  { sequelize }: Database,
  business_id: string,
  order: readonly string[],
): Promise<void> {
  await sequelize.query(
    `update template_group set position = placed.place - 1
     from (select id, row_number() over (order by array_position($order::text[], key::text) nulls last, position) as place
       from template_group where business_id = $business_id) placed
     where template_group.business_id = $business_id and template_group.id = placed.id
       and template_group.position <> placed.place - 1`,
    { bind: { business_id, order } },
  );
}

async function whyNot({ sequelize }: Database, business_id: string, key: string): Promise<Changed> {
  const found = await sequelize.query(
    'select 1 from template_group where business_id = $business_id and key = $key',
    {
      bind: { business_id, key },
      type: QueryTypes.SELECT,
    },
  );
  return found.length ? 'overtaken' : 'gone';
}
