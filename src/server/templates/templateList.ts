import type { TemplateList } from '../../core/contract/writing';
import {
  groupsOfBusiness,
  passagesOfBusiness,
  signaturesOfBusiness,
} from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { standingTemplates } from './standingTemplates';
import { underGroups } from './underGroups';

/** The templates that a member may choose among, for a device to keep. */
export const templateList = forMember(async (member: CurrentMember): Promise<TemplateList> => {
  const database = connection();
  const { business_id } = member;
  const [templates, passages, signatures, groups] = await Promise.all([
    standingTemplates(member),
    passagesOfBusiness(database, business_id),
    signaturesOfBusiness(database, business_id),
    groupsOfBusiness(database, business_id),
  ]);
  return {
    templates: templates.map(({ listed }) => listed),
    passages,
    signatures,
    groups: underGroups(groups, templates, ({ listed }) => listed.key),
  };
});
