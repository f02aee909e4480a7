import type { ChangeStatus } from '../../core/contract/records/status';
import type { StatusKind } from '../../core/occasions/statusAfter';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/**
 * Changes how a record stands, where it still stands as it was seen.
 * @returns how it stands now, and whether that was done; undefined: there is no such record
 */
export const changeStatus = forMember(
  async (
    { business_id }: CurrentMember,
    { kind, key }: { kind: StatusKind; key: string },
    { from, to }: ChangeStatus,
  ): Promise<{ status: string; changed: boolean } | undefined> => {
    const { models, sequelize } = connection();
    const [changed] = await models[kind as 'booking'].update(
      { status: to as 'done', version: sequelize.literal('version + 1') as unknown as number },
      { where: { business_id, key, status: from as 'done' } },
    );
    if (changed === 1) return { status: to, changed: true };
    const now = await models[kind as 'booking'].findOne({
      where: { business_id, key },
      attributes: ['status'],
    });
    return now ? { status: now.get('status') as string, changed: false } : undefined;
  },
);
