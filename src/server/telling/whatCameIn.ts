import type { CameInLately } from '../../core/contract/telling';
import { cameInLately } from '../../data/repositories/telling/cameInLately';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** What came in last and waits, of a member or of nobody. */
export const whatCameIn = forMember(async ({ business_id, id }: CurrentMember): Promise<CameInLately> => ({
  messages: await cameInLately(connection(), business_id, id),
}));
