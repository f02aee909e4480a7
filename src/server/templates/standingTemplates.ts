import { LRUCache } from 'lru-cache';
import { listed, type ListedTemplate } from '../../core/fitting/listedTemplate';
import { searchable } from '../../core/searching/finder';
import { factsIn } from '../../core/template/factOf';
import { passagesIn } from '../../core/template/passagesIn';
import { unfinishedIn } from '../../core/template/unfinishedIn';
import { wordsOfTemplate } from '../../core/template/wordsOfTemplate';
import {
  standingVersions,
  templatesByKey,
  type StandingVersion,
} from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';

/** What is read once from a version's words, which do not change. */
interface Read {
  /** what it is chosen by */
  listed: ListedTemplate;
  /** what it is found by */
  searchable: string;
  /** how many parts of it are made up, and still to be replaced */
  unfinished: number;
  /** the passages in it, by their keys */
  passages: string[];
  /** the facts that its words say (core/template/factOf) */
  facts: string[];
}

export interface StandingTemplate
  extends Read, Pick<StandingVersion, 'group_id' | 'letters' | 'last_used_at'> {}

/** Of so many versions what was read is kept: some 4 kB each. */
const READ = new LRUCache<string, Read>({ max: 10_000 });

/** The templates that a member may see as they stand now, in their order, without their words. */
export async function standingTemplates({ business_id, id }: CurrentMember): Promise<StandingTemplate[]> {
  const database = connection();
  const placeOf = ({ key, version, keptAt }: Pick<StandingVersion, 'key' | 'version' | 'keptAt'>) =>
    `${business_id} ${key} ${version} ${keptAt}`;
  const standing = await standingVersions(database, business_id, id);
  const unread = standing.filter((one) => !READ.has(placeOf(one))).map(({ key }) => key);
  const read = new Map<string, Read>();
  if (unread.length > 0) {
    for (const template of await templatesByKey(database, business_id, id, unread)) {
      const one = {
        listed: listed(template),
        searchable: searchable(wordsOfTemplate(template)),
        unfinished: unfinishedIn(template),
        passages: passagesIn(template),
        facts: factsIn([template.head, template.document]),
      };
      read.set(placeOf(template), one);
      READ.set(placeOf(template), one);
    }
  }
  return standing.flatMap((one) => {
    const found = READ.get(placeOf(one)) ?? read.get(placeOf(one));
    const { group_id, letters, last_used_at } = one;
    return found ? { ...found, group_id, letters, last_used_at } : [];
  });
}
