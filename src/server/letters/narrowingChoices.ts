import type { NarrowingChoices } from '../../core/contract/letterNarrowing';
import { membersAndTemplates } from '../../data/repositories/membersAndTemplates';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/** By whom letters may have been written, and from which templates. */
export const narrowingChoices = forMember(
  async ({ business_id, id }: CurrentMember): Promise<NarrowingChoices> =>
    membersAndTemplates(connection(), business_id, id),
);
