import { hasWords, wordsWanted } from '../../core/searching/finder';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { standingTemplates } from './standingTemplates';

/** The keys of the templates whose name, subject, note and words have all of some words. */
export const findTemplates = forMember(async (member: CurrentMember, find: string): Promise<string[]> => {
  const words = wordsWanted(find);
  const templates = await standingTemplates(member);
  return templates.flatMap(({ listed, searchable }) => (hasWords(searchable, words) ? listed.key : []));
});
