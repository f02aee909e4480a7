import type { KeepAnswer } from '../../core/contract/templateWords';
import type { VersionCompared, VersionEntry } from '../../core/contract/versions';
import { changedHead, compareVersions } from '../../core/describe/compareVersions';
import { dayLately } from '../../core/describe/dayLately';
import { labelsOf } from '../../core/fill/describe/labels';
import { readPassages } from '../../core/fill/paths/scope';
import { inNames } from '../../core/template/naming';
import type { TemplateHead } from '../../core/template/template';
import { templateAtVersion, templateByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { keepVersion, versionsOf } from '../../data/repositories/templates/templateVersions';
import { businessBook } from '../businessBook';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { forMember } from '../forMember';
import { wordsContext, wordsFacts } from './wordsContext';

/** The versions of a template, the last first. Undefined: there is no such template. */
export const versionsOfTemplate = forMember(
  async ({ business_id, id }: CurrentMember, key: string): Promise<VersionEntry[] | undefined> => {
    const database = connection();
    const versions = await versionsOf(database, { business_id, member_id: id }, key);
    if (versions.length === 0) return undefined;
    const dayOf = dayLately(await businessBook(business_id));
    return versions.map(({ version, by, kept_at }) => ({
      version,
      ...(by === null ? {} : { by }),
      when: dayOf(kept_at.getTime()),
    }));
  },
);

/** What has changed since a version, in words. Undefined: there is no such template, or no such version of it. */
export const compareWithStanding = forMember(
  async (member: CurrentMember, key: string, version: number): Promise<VersionCompared | undefined> => {
    const { business_id, id } = member;
    const database = connection();
    const [standing, earlier] = await Promise.all([
      templateByKey(database, business_id, id, key),
      templateAtVersion(database, business_id, id, key, version),
    ]);
    if (!standing || !earlier) return undefined;
    const { schema, passages, signatures } = wordsContext(await wordsFacts(member));
    const context = { schema, passages: readPassages(passages) };
    const called = (head: TemplateHead) => inNames(head, { passages: [], signatures });
    const labels = { ...labelsOf(earlier, context), ...labelsOf(standing, context) };
    return {
      head: changedHead(called(earlier.head), called(standing.head)),
      words: compareVersions(earlier, standing, { labels, passages }),
    };
  },
);

/**
 * Brings an earlier version back, as the next one: nothing that was kept since is lost.
 * @param standing the version that its writer saw as the last
 */
export const bringBack = forMember(
  async (
    member: CurrentMember,
    key: string,
    version: number,
    standing: number,
  ): Promise<Exclude<KeepAnswer<Date>, { result: 'wrong' }>> => {
    const { business_id, id } = member;
    const database = connection();
    const earlier = await templateAtVersion(database, business_id, id, key, version);
    const now = await templateByKey(database, business_id, id, key);
    if (!earlier || !now) return { result: 'gone' };
    if (!now.head.mine) mustChangeShared(member);
    // What it is called, whose it is and where it stands are not of its words: they stay as they are.
    const { name, group, mine, resting } = now.head;
    const { mine: _, resting: __, ...said } = earlier.head;
    const head = { ...said, name, group, ...(mine ? { mine } : {}), ...(resting ? { resting } : {}) };
    const place = { business_id, member_id: id };
    return keepVersion(database, place, key, standing, { head, document: earlier.document });
  },
);
