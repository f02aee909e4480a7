import type { TemplateAnswer, TemplateUses, TrashedEntry } from '../../core/contract/templates';
import {
  templateUses,
  trashedTemplates,
  trashTemplate,
} from '../../data/repositories/templates/templateLife';
import { dayLately } from '../../core/describe/dayLately';
import { businessBook } from '../businessBook';
import { now } from '../clock';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { nameTaken } from './makeTemplate';

/** Puts a template into the trash, from where it can be put back. Letters that are on their way from it go all the same. */
export const throwAway = forMember(({ business_id, id }: CurrentMember, key: string) =>
  put(business_id, id, key, new Date(now())),
);

/** Puts a template back where it stood. */
export async function putBack(member: CurrentMember, key: string): Promise<TemplateAnswer> {
  try {
    return await back(member, key);
  } catch (error) {
    return nameTaken(error, 'Another template has its name by now. Call that one otherwise first.');
  }
}

const back = forMember(({ business_id, id }: CurrentMember, key: string) => put(business_id, id, key, null));

async function put(
  business_id: string,
  member_id: string,
  key: string,
  away: Date | null,
): Promise<TemplateAnswer> {
  const done = await trashTemplate(connection(), { business_id, member_id }, key, away);
  return done
    ? { result: 'done', key }
    : { result: 'gone', error: away ? 'This template is no longer there.' : 'It is no longer in the trash.' };
}

/** What a member has in the trash, or everyone, the last thrown away first. */
export const trash = forMember(async ({ business_id, id }: CurrentMember): Promise<TrashedEntry[]> => {
  const trashed = await trashedTemplates(connection(), { business_id, member_id: id });
  if (trashed.length === 0) return [];
  const dayOf = dayLately(await businessBook(business_id));
  return trashed.map(({ key, name, deleted_at }) => ({ key, name, when: dayOf(deleted_at.getTime()) }));
});

/** What depends on a template. Undefined: there is no such template. */
export const usesOfTemplate = forMember(
  ({ business_id, id }: CurrentMember, key: string): Promise<TemplateUses | undefined> =>
    templateUses(connection(), { business_id, member_id: id }, key),
);
