import type { GroupedTemplates } from '../../core/contract/list';
import { groupsOfBusiness, templatesOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { underGroups } from './underGroups';

/** All templates of a member under their groups, in order; those without a group come last under a heading of their own. */
export const templatesByGroup = forMember(
  async ({ business_id, id, words }: CurrentMember): Promise<GroupedTemplates[]> => {
    const [groups, kept] = await Promise.all([
      groupsOfBusiness(connection(), business_id),
      templatesOfBusiness(connection(), business_id, id),
    ]);
    // A booking is called what the business calls it.
    const templates = kept.map((one) =>
      one.startsFrom === 'booking' ? { ...one, startsFrom: words.booking } : one,
    );
    return underGroups(groups, templates, (template) => template);
  },
);
