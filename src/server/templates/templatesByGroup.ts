import type { GroupedTemplates } from '../../core/contract/list';
import { dayLately } from '../../core/describe/dayLately';
import { unfinishedInPassages } from '../../core/template/unfinishedIn';
import { groupsOfBusiness, passagesOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { standingTemplates } from './standingTemplates';
import { underGroups } from './underGroups';

/** All templates of a member under their groups, in order; those without a group come last under a heading of their own. */
export const templatesByGroup = forMember(async (member: CurrentMember): Promise<GroupedTemplates[]> => {
  const { business_id, words } = member;
  const [groups, templates, book, passagesOfAll] = await Promise.all([
    groupsOfBusiness(connection(), business_id),
    standingTemplates(member),
    businessBook(business_id),
    passagesOfBusiness(connection(), business_id),
  ]);
  const inPassages = unfinishedInPassages(passagesOfAll);
  const dayOf = dayLately(book);
  return underGroups(groups, templates, ({ listed, unfinished: own, passages, letters, last_used_at }) => {
    const { key, head } = listed;
    const unfinished = passages.reduce((sum, one) => sum + (inPassages.get(one) ?? 0), own);
    return {
      key,
      name: head.name,
      // A booking is called what the business calls it.
      startsFrom: head.startsFrom === 'booking' ? words.booking : head.startsFrom,
      ...(head.resting ? { resting: true } : {}),
      ...(head.mine ? { mine: true } : {}),
      ...(unfinished ? { unfinished } : {}),
      ...(passages.length ? { passages } : {}),
      letters,
      ...(last_used_at
        ? { lastUsed: { words: dayOf(last_used_at.getTime()), at: last_used_at.toISOString() } }
        : {}),
    };
  });
});
