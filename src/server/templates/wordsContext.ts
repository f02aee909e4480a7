import type { WordsFacts } from '../../core/contract/templateWords';
import { schemaOf } from '../../core/records/schema';
import type { WordsContext } from '../../core/writing/readTemplateWords';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import {
  groupsOfBusiness,
  passagesOfBusiness,
  signaturesOfBusiness,
} from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import { forMember } from '../forMember';

export const wordsFacts = forMember(async ({ business_id }): Promise<WordsFacts> => {
  const [records, passages, signatures, groups] = await Promise.all([
    recordsOfBusiness(connection(), business_id, { clients: [] }),
    passagesOfBusiness(connection(), business_id),
    signaturesOfBusiness(connection(), business_id),
    groupsOfBusiness(connection(), business_id),
  ]);
  return { business: records!.business, passages, signatures, groups: groups.map(({ name }) => name) };
});

export function wordsContext({ business, passages, groups }: WordsFacts): WordsContext {
  return {
    schema: schemaOf({ business }),
    passages,
    groups,
  };
}
