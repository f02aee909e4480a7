import type { TemplateList } from '../../core/contract/writing';
import { sharedWords } from '../../data/repositories/templates/sharedWords';
import { templatesOfOthers } from '../../data/repositories/templates/templateLife';
import { groupsOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { shorthandHere } from './shorthandHere';
import { standingTemplates } from './standingTemplates';
import { underGroups } from './underGroups';

/** The templates that a member may choose among, for a device to keep. */
export const templateList = forMember(async (member: CurrentMember): Promise<TemplateList> => {
  const database = connection();
  const { business_id } = member;
  const [templates, { passages, signatures, letterhead, files }, groups, others, shorthand] =
    await Promise.all([
      standingTemplates(member),
      sharedWords(database, business_id),
      groupsOfBusiness(database, business_id),
      templatesOfOthers(database, { business_id, member_id: member.id }),
      shorthandHere(member),
    ]);
  const attached = new Set(
    templates.flatMap(({ listed }) => (listed.head.attach ?? []).map((name) => name.toLowerCase())),
  );
  return {
    templates: templates.map(({ listed }) => listed),
    passages,
    signatures,
    letterhead,
    files: files.filter(({ name }) => attached.has(name.toLowerCase())),
    groups: underGroups(groups, templates, ({ listed }) => listed.key),
    others,
    shorthand,
  };
});
