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

/** The templates that a member may choose among; and the same with their words, of which only some may be wanted. */
export const templateList = forMember(
  async ({ business_id, id }: CurrentMember): Promise<{ list: TemplateList; withWords: TemplateWords[] }> => {
    const database = connection();
    const [templates, passages, groups] = await Promise.all([
      templatesWithWords(database, business_id, id),
      passagesOfBusiness(database, business_id),
      groupsOfBusiness(database, business_id),
    ]);
    const keysOf = (group_id: string | null) =>
      templates.filter((template) => template.group_id === group_id).map(({ key }) => key);
    const loose = keysOf(null);
    const withWords = templates.map(({ group_id: _, ...template }) => template);
    return {
      withWords,
      list: {
        templates: withWords.map(listed),
        passages,
        groups: [
          ...groups.map(({ id: group_id, key, name, initial, tint }) => ({
            key,
            name,
            initial,
            tint,
            templates: keysOf(group_id),
          })),
          ...(loose.length
            ? [{ key: 'none', name: 'Without a group', initial: '–', tint: 'slate', templates: loose }]
            : []),
        ],
      },
    };
  },
);
