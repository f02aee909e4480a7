import type { TemplateAnswer, TemplateUses } from '../../core/contract/templates';
import {
  templateUses,
  trashedTemplates,
  trashTemplate,
  type TrashedTemplate,
} from '../../data/repositories/templates/templateLife';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { nameTaken } from './makeTemplate';

/** Puts a template into the trash, from where it can be put back. Letters that are on their way from it go all the same. */
export const throwAway = forMember(({ business_id, id }: CurrentMember, key: string) =>
  put(business_id, id, key, true),
);

/** Puts a template back where it stood. */
export async function putBack(member: CurrentMember, key: string): Promise<TemplateAnswer> {
  try {
    return await back(member, key);
  } catch (error) {
    const taken = nameTaken(error, key);
    return {
      ...taken,
      error: 'Another template has its name by now. Call that one otherwise first.',
    } as TemplateAnswer;
  }
}

const back = forMember(({ business_id, id }: CurrentMember, key: string) => put(business_id, id, key, false));

async function put(
  business_id: string,
  member_id: string,
  key: string,
  away: boolean,
): Promise<TemplateAnswer> {
  const done = await trashTemplate(connection(), { business_id, member_id }, key, away);
  return done
    ? { result: 'done', key }
    : { result: 'gone', error: away ? 'This template is no longer there.' : 'It is no longer in the trash.' };
}

/** What a member has in the trash, or everyone. */
export const trash = forMember(({ business_id, id }: CurrentMember): Promise<TrashedTemplate[]> =>
  trashedTemplates(connection(), { business_id, member_id: id }),
);

/** What depends on a template. Undefined: there is no such template. */
export const usesOfTemplate = forMember(
  ({ business_id, id }: CurrentMember, key: string): Promise<TemplateUses | undefined> =>
    templateUses(connection(), { business_id, member_id: id }, key),
);
