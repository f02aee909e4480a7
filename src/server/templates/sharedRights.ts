import type { MemberRights } from '../../core/contract/rights';
import { membersWithRights, setChangesShared } from '../../data/repositories/templates/sharedRights';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustOwn } from '../signIn/rights';

/** Who may change what everyone writes with. */
export const sharedRights = forMember(({ business_id }: CurrentMember): Promise<MemberRights[]> =>
  membersWithRights(connection(), business_id),
);

/** Gives a member that right, or takes it away. Gives whether there is such a member who is no owner. @throws NotAllowed */
export const setSharedRight = forMember(
  (member: CurrentMember, key: string, may: boolean): Promise<boolean> => {
    mustOwn(member);
    return setChangesShared(connection(), member.business_id, key, may);
  },
);
