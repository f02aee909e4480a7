import {
  STAYS,
  type TemplateAnswer,
  type TemplateUses,
  type TrashedEntry,
} from '../../core/contract/templates';
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
import { mustChangeShared } from '../signIn/rights';
import { forMember } from '../forMember';
import { namedOnce } from './named';

/**
 * Puts a template into the trash, from where it can be put back. Letters that are on their way from it go all the same. One that an
 * act of the work relies on stays: it can be reworded and rest.
 */
export const throwAway = forMember(async (member: CurrentMember, key: string): Promise<TemplateAnswer> => {
  const whose = { business_id: member.business_id, member_id: member.id };
  const uses = await templateUses(connection(), whose, key);
  if (uses?.stays) return { result: 'used', error: STAYS };
  return put(member, key, new Date(now()));
});

/** Puts a template back where it stood. */
export async function putBack(member: CurrentMember, key: string): Promise<TemplateAnswer> {
  const taken = 'Another template has its name by now. Call that one otherwise first.';
  return namedOnce(taken, () => back(member, key));
}

const back = forMember((member: CurrentMember, key: string) => put(member, key, null));

/** @throws NotAllowed, and nothing is done */
async function put(member: CurrentMember, key: string, away: Date | null): Promise<TemplateAnswer> {
  const whose = { business_id: member.business_id, member_id: member.id };
  const done = await trashTemplate(connection(), whose, key, away);
  if (done?.owner_id === null) mustChangeShared(member);
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
