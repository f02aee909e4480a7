import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { groupsOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { standingTemplates } from './standingTemplates';

/** The keys of the templates whose name, subject, note, words and group have all of some words. */
export const findTemplates = forMember(async (member: CurrentMember, find: string): Promise<string[]> => {
  const words = wordsWanted(find);
  const [templates, groups] = await Promise.all([
    standingTemplates(member),
    groupsOfBusiness(connection(), member.business_id),
  ]);
  // What a group is called now, whatever it was when the words were kept.
  const called = new Map(groups.map(({ id, name }) => [id, searchable(name)]));
  return templates.flatMap(({ listed, searchable: ready, group_id }) =>
    hasWords(ready + (called.get(group_id ?? '') ?? ''), words) ? listed.key : [],
  );
});
