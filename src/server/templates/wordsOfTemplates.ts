import type { TemplateWords } from '../../core/fitting/listedTemplate';
import { templatesByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** Templates that a member may see, with their words as they stand now; those that are not there are left out. */
export const wordsOfTemplates = forMember(
  async ({ business_id, id }: CurrentMember, keys: readonly string[]): Promise<TemplateWords[]> => {
    return templatesByKey(connection(), business_id, id, keys);
  },
);
