import type { WordsFacts } from '../../core/contract/templateWords';
import { fullName } from '../../core/people/names';
import { schemaOf } from '../../core/records/schema';
import type { WordsContext } from '../../core/writing/readTemplateWords';
import { recordsOfBusiness } from '../../data/repositories/recordsOfBusiness';
import { sharedWords } from '../../data/repositories/templates/sharedWords';
import { connection } from '../connection';
import { forMember } from '../forMember';
import { shorthandHere } from './shorthandHere';

export const wordsFacts = forMember(async (member): Promise<WordsFacts> => {
  const { business_id, key: own } = member;
  const { own: rows, ...shared } = await sharedWords(connection(), business_id);
  const records = await recordsOfBusiness(connection(), business_id, { clients: [] }, rows);
  const { business, members = [], partners = [] } = records!;
  return {
    business,
    members: members
      .filter(({ email }) => email)
      .map((one) => ({ key: one.key, name: fullName(one) ?? one.key }))
      .sort((a, b) => Number(b.key === own) - Number(a.key === own)),
    addresses: [business, ...members, ...partners].flatMap(({ email }) => email?.toLowerCase() ?? []),
    ...shared,
    shorthand: await shorthandHere(member),
  };
});

export function wordsContext({ business, passages, signatures, groups }: WordsFacts): WordsContext {
  return { schema: schemaOf({ business }), passages, signatures, groups };
}
