import type { ActTemplates } from '../../core/contract/acts';
import type { TemplateAnswer } from '../../core/contract/templates';
import { ACTS, type Act } from '../../core/template/acts';
import { keepVersion } from '../../data/repositories/templates/templateVersions';
import { templatesByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { forMember } from '../forMember';
import { standingTemplates } from './standingTemplates';

/** The acts of the work, each with its own messages; also those that have none yet. */
export const actTemplates = forMember(async (member: CurrentMember): Promise<ActTemplates[]> => {
  const templates = await standingTemplates(member);
  return ACTS.map((act) => ({
    act,
    templates: templates
      .filter(({ listed: { head } }) => head.action?.act === act)
      .map(({ listed: { key, head } }) => ({
        key,
        name: head.name,
        first: head.action!.first,
        resting: head.resting ?? false,
      }))
      .sort((a, b) => Number(b.first) - Number(a.first)),
  }));
});

/** The messages of one act, those that rest left out. */
export const templatesOfAct = forMember(async (member: CurrentMember, act: Act): Promise<ActTemplates> => {
  const own = (await actTemplates(member)).find((one) => one.act === act)!;
  return { act, templates: own.templates.filter(({ resting }) => !resting) };
});

/** Makes a template the first of its act: a version of it, and one of whichever was. Undefined: it belongs to none. */
export const makeFirst = forMember(
  async (member: CurrentMember, key: string): Promise<TemplateAnswer | undefined> => {
    mustChangeShared(member);
    const { business_id, id } = member;
    const database = connection();
    const acts = await actTemplates(member);
    const act = acts.find(({ templates }) => templates.some((one) => one.key === key));
    if (!act) return undefined;
    const keys = act.templates.filter((one) => one.first !== (one.key === key)).map((one) => one.key);
    for (const template of await templatesByKey(database, business_id, id, keys)) {
      const { head, document, version } = template;
      const changed = { ...head, action: { act: act.act, first: template.key === key } };
      const whose = { business_id, member_id: id };
      const { result } = await keepVersion(database, whose, template.key, version, {
        head: changed,
        document,
      });
      // Read and kept in one transaction, it can only have gone.
      if (result !== 'kept') throw new Error(`“${head.name}” could not be changed: ${result}.`);
    }
    return { result: 'done', key };
  },
);
