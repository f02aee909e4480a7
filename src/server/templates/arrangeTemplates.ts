import type { Arrangement } from '../../core/contract/groups';
import { placeTemplates } from '../../data/repositories/templates/arrangement';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** Puts templates into groups, in an order. */
export const arrangeTemplates = forMember(({ business_id, id }: CurrentMember, under: Arrangement) =>
  placeTemplates(connection(), { business_id, member_id: id }, under),
);
