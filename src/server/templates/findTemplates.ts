import { hasWords, searchable, wordsWanted } from '../../core/searching/finder';
import { wordsOfTemplate } from '../../core/template/wordsOfTemplate';
import { templatesWithWords } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** The keys of the templates whose name, subject, note and words have all of some words. */
export const findTemplates = forMember(
  async ({ business_id, id }: CurrentMember, find: string): Promise<string[]> => {
    const words = wordsWanted(find);
    const templates = await templatesWithWords(connection(), business_id, id);
    return templates
      .filter((template) => hasWords(searchable(wordsOfTemplate(template)), words))
      .map(({ key }) => key);
  },
);
