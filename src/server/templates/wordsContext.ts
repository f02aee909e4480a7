import type { RecordsFile } from '../../core/records/recordsFile';
import { schemaOf } from '../../core/records/schema';
import type { Passage } from '../../core/template/template';
import type { WordsContext } from '../../core/writing/readTemplateWords';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { groupsOfBusiness, passagesOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import { forMember } from '../forMember';

/** What the words of a business's templates are judged by, as data that can go to the page. */
export interface WordsFacts {
  business: RecordsFile['business'];
  passages: Passage[];
  groups: string[];
}

export const wordsFacts = forMember(async ({ business_id }): Promise<WordsFacts> => {
  const [records, passages, groups] = await Promise.all([
    recordsOfBusiness(connection(), business_id, { clients: [] }),
    passagesOfBusiness(connection(), business_id),
    groupsOfBusiness(connection(), business_id),
  ]);
  return { business: records!.business, passages, groups: groups.map(({ name }) => name) };
});

export function wordsContext({ business, passages, groups }: WordsFacts): WordsContext {
  return {
    schema: schemaOf({ business }),
    passages,
    groups,
  };
}
