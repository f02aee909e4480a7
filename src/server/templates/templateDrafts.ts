import type { DraftToKeep, DraftsOfTemplate } from '../../core/contract/templateWords';
import { dayLately } from '../../core/describe/dayLately';
import { draftsOfTemplate, keepDraft } from '../../data/repositories/templates/templateDrafts';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** Keeps what a member is writing of a template's next version, or throws it away. Gives whether there is such a template. */
export const keepTemplateDraft = forMember(
  ({ business_id, id }: CurrentMember, key: string, draft: DraftToKeep): Promise<boolean> =>
    keepDraft(connection(), { business_id, member_id: id }, key, { ...draft, at: new Date(now()) }),
);

/** What a member has written of a template's next version, and who else is writing on one. */
export const draftsOf = forMember(
  async ({ business_id, id }: CurrentMember, key: string): Promise<DraftsOfTemplate> => {
    const drafts = await draftsOfTemplate(connection(), { business_id, member_id: id }, key);
    if (drafts.length === 0) return { others: [] };
    const own = drafts.find(({ member_id }) => member_id === id);
    const dayOf = dayLately(await businessBook(business_id));
    return {
      ...(own ? { own: { version: own.version, text: own.text, at: own.kept_at.getTime() } } : {}),
      others: drafts
        .filter(({ member_id }) => member_id !== id)
        .map(({ by, kept_at }) => ({ by, when: dayOf(kept_at.getTime()) })),
    };
  },
);
