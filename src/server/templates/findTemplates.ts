import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { templatesOfOthers } from '../../data/repositories/templates/templateLife';
import { groupsOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import type { FoundTemplates } from '../../core/contract/templates';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { standingTemplates } from './standingTemplates';

/**
 * The templates whose name, subject, note, words and group have all of some words; of those that are somebody else's own, what they
 * are called alone.
 */
export const findTemplates = forMember(
  async (member: CurrentMember, find: string): Promise<FoundTemplates> => {
    const words = wordsWanted(find);
    const [templates, groups, theirs] = await Promise.all([
      standingTemplates(member),
      groupsOfBusiness(connection(), member.business_id),
      templatesOfOthers(connection(), { business_id: member.business_id, member_id: member.id }),
    ]);
    // What a group is called now, whatever it was when the words were kept.
    const called = new Map(groups.map(({ id, name }) => [id, searchable(name)]));
    const keys = templates.flatMap(({ listed, searchable: ready, group_id }) =>
      hasWords(ready + (called.get(group_id ?? '') ?? ''), words) ? listed.key : [],
    );
    const others = words.length ? theirs.filter(({ name }) => hasWords(searchable(name), words)) : [];
    return { keys, others };
  },
);
