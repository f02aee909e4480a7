import {
  groupsOfBusiness,
  templatesOfBusiness,
  type TemplateEntry,
} from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { underGroups } from './underGroups';

/** A group with its templates, as the index of the templates lists them. */
export interface GroupedTemplates {
  key: string;
  name: string;
  initial: string;
  tint: string;
  templates: TemplateEntry[];
}

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
