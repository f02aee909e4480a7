import type { Arrangement } from '../../core/contract/groups';
import { placeTemplates } from '../../data/repositories/templates/arrangement';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { forMember } from '../forMember';

/** Puts templates into groups, in an order. @throws NotAllowed */
export const arrangeTemplates = forMember((member: CurrentMember, under: Arrangement) => {
  mustChangeShared(member);
  return placeTemplates(connection(), { business_id: member.business_id, member_id: member.id }, under);
});
