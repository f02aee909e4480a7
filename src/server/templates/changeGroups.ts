import type { GroupAnswer, GroupChange, GroupRemoval, NewGroup } from '../../core/contract/groups';
import type { GroupHead } from '../../core/contract/list';
import { keyOfName } from '../../core/template/keyOfName';
import { proposeGroup, type Tint } from '../../core/template/proposeGroup';
import {
  deleteGroup,
  insertGroup,
  orderGroups,
  updateGroup,
  type Changed,
} from '../../data/repositories/templates/groups';
import { groupsOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { forMember } from '../forMember';
import { anotherCalled, namedOnce } from './named';

/** Makes a group by a name alone; what else tells it from the others is proposed where it is not given. */
export async function makeGroup(member: CurrentMember, group: NewGroup): Promise<GroupAnswer> {
  mustChangeShared(member);
  const name = group.name.trim();
  return namedOnce(anotherCalled('group', name), async () => {
    const made = await insert(member, { ...group, name });
    return { result: 'done', key: made.key, made };
  });
}

const insert = forMember(
  async ({ business_id }: CurrentMember, { name, initial, tint }: NewGroup): Promise<GroupHead> => {
    const proposed = proposeGroup(name, await groupsOfBusiness(connection(), business_id));
    const look = { name, initial: initial ?? proposed.initial, tint: tint ?? proposed.tint };
    const key = await insertGroup(connection(), business_id, keyOfName(name, 'group'), look);
    return { key, version: 1, ...look };
  },
);

/** Changes what a group is called and looks like. */
export async function changeGroup(
  member: CurrentMember,
  key: string,
  change: GroupChange,
): Promise<GroupAnswer> {
  mustChangeShared(member);
  const name = change.name.trim();
  return namedOnce(anotherCalled('group', name), async () =>
    answerOf(await update(member, key, { ...change, name }), key),
  );
}

const update = forMember(({ business_id }: CurrentMember, key: string, change: GroupChange) =>
  updateGroup(connection(), business_id, key, { ...change, tint: change.tint as Tint }),
);

/** Removes a group; its templates and passages go to another, or to none. */
export const removeGroup = forMember(
  async (member: CurrentMember, key: string, { version, to }: GroupRemoval): Promise<GroupAnswer> => {
    mustChangeShared(member);
    return answerOf(await deleteGroup(connection(), member.business_id, key, version, to), key);
  },
);

/** Puts the groups in an order. */
export const arrangeGroups = forMember(async (member: CurrentMember, order: readonly string[]) => {
  mustChangeShared(member);
  return orderGroups(connection(), member.business_id, order);
});

function answerOf(changed: Changed, key: string): GroupAnswer {
  switch (changed) {
    case 'done':
      return { result: 'done', key };
    case 'overtaken':
      return {
        result: 'overtaken',
        error: 'Somebody has changed this group since you opened it. Look at it again.',
      };
    case 'gone':
      return { result: 'gone', error: 'This group is no longer there.' };
  }
}
