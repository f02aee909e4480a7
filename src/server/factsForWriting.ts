import type { PastLetter } from '../core/fitting/fittingTemplates';
import type { StartingPoint } from '../core/records/which/situation';
import type { WritingFacts } from '../core/writing/writingDesk';
import { pastLetters } from '../data/repositories/pastLetters';
import { recordsOfBusiness } from '../data/repositories/recordsOfBusiness';
import { scopeFrom, startingRecord } from '../data/repositories/startingRecords';
import {
  groupsOfBusiness,
  passagesOfBusiness,
  templatesWithWords,
} from '../data/repositories/templatesOfBusiness';
import { now } from './clock';
import { connection } from './connection';
import type { CurrentMember } from './currentMember';

/** Everything a letter is written from, loaded once: one client's records, and the templates with their words. */
export interface FactsForWriting extends WritingFacts {
  groups: { key: string; name: string; initial: string; tint: string; templates: string[] }[];
  letters: PastLetter[];
  business: string;
}

/** Undefined: there is no such record. */
export async function factsForWriting(
  { business_id, id, key }: CurrentMember,
  start: StartingPoint,
): Promise<FactsForWriting | undefined> {
  const database = connection();
  const record = await startingRecord(database, business_id, start);
  if (!record) return undefined;
  const scope = scopeFrom(start, record);
  const [records, templates, passages, groups, letters] = await Promise.all([
    recordsOfBusiness(database, business_id, scope),
    templatesWithWords(database, business_id, id),
    passagesOfBusiness(database, business_id),
    groupsOfBusiness(database, business_id),
    pastLetters(database, business_id, id, scope),
  ]);
  const keysOf = (group_id: string | null) =>
    templates.filter((template) => template.group_id === group_id).map((template) => template.key);
  const loose = keysOf(null);
  return {
    records: records!,
    now: now(),
    templates: templates.map(({ group_id: _, ...template }) => template),
    passages,
    member: key,
    business: business_id,
    groups: [
      ...groups.map((group) => ({
        key: group.key,
        name: group.name,
        initial: group.initial,
        tint: group.tint,
        templates: keysOf(group.id),
      })),
      ...(loose.length
        ? [{ key: 'none', name: 'Without a group', initial: '–', tint: 'slate', templates: loose }]
        : []),
    ],
    letters,
  };
}
