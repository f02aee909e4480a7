import type { TemplateList } from '../../core/contract/writing';
import { listed, type TemplateWords } from '../../core/fitting/listedTemplate';
import {
  groupsOfBusiness,
  passagesOfBusiness,
  templatesWithWords,
} from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { underGroups } from './underGroups';

/** The templates that a member may choose among; and the same with their words, of which only some may be wanted. */
export const templateList = forMember(
  async ({ business_id, id }: CurrentMember): Promise<{ list: TemplateList; withWords: TemplateWords[] }> => {
    const database = connection();
    const [templates, passages, groups] = await Promise.all([
      templatesWithWords(database, business_id, id),
      passagesOfBusiness(database, business_id),
      groupsOfBusiness(database, business_id),
    ]);
    const withWords = templates.map(({ group_id: _, ...template }) => template);
    return {
      withWords,
      list: {
        templates: withWords.map(listed),
        passages,
        groups: underGroups(groups, templates, ({ key }) => key),
      },
    };
  },
);
