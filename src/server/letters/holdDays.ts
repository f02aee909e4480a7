import { letGoDays } from '../../data/repositories/sending/heldDays';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** Holds the days that a letter offers, or lets them go; gives whether it offers any. */
export const holdDays = forMember(
  async ({ business_id }: CurrentMember, id: string, held: boolean): Promise<boolean> =>
    letGoDays(connection(), { business_id, id }, !held),
);
