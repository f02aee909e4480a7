import type { KeptDraft, ListedDraft } from '../../core/contract/drafts';
import * as kept from '../../data/repositories/drafts';
import { letterById } from '../../data/repositories/letters';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';

/**
 * Keeps a letter that somebody has begun, for their other devices.
 * @param seen the version that the device saw last; 0: none was kept before
 * @returns undefined: it is none any more, it has been given to be sent, or it is somebody else's
 */
export const keepDraft = forMember(
  async (
    { business_id, id: member_id }: CurrentMember,
    draft: kept.BegunLetter,
    seen: { seen: number; device: string },
  ) => {
    if (await letterById(connection(), business_id, draft.id)) return undefined;
    return kept.keepDraft(connection(), { business_id, member_id }, draft, seen);
  },
);

/** A draft of the member's. */
export const oneDraft = forMember(
  async ({ business_id, id: member_id }: CurrentMember, id: string): Promise<KeptDraft | undefined> =>
    kept.draftById(connection(), { business_id, member_id }, id),
);

/** The drafts of the member, the newest first. */
export const listDrafts = forMember(
  async ({ business_id, id: member_id }: CurrentMember): Promise<ListedDraft[]> =>
    kept.draftsOf(connection(), { business_id, member_id }),
);

/** Throws a draft of the member's away; gives whether there was one. */
export const dropDraft = forMember(async ({ business_id, id: member_id }: CurrentMember, id: string) =>
  kept.dropDraft(connection(), { business_id, member_id }, id),
);
