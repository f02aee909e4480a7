import type { Keeping } from '../../core/contract/records/keeping';
import type { WorkWays } from '../../core/contract/records/workWays';
import { keepWorkWays, workWays } from '../../data/repositories/records/workWays';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';

/** Keeps how work is done. */
export const keepWays = forMember(
  async (member: CurrentMember, asked: WorkWays): Promise<Keeping<WorkWays>> => {
    mustChangeShared(member);
    const { business_id } = member;
    if (await keepWorkWays(connection(), business_id, asked))
      return { result: 'kept', version: asked.version + 1 };
    return { result: 'overtaken', now: await workWays(connection(), business_id) };
  },
);
