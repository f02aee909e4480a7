import { passagesOfBusiness } from '../../data/repositories/templates/templatesOfBusiness';
import { factsIn } from '../../core/template/factOf';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { standingTemplates } from '../templates/standingTemplates';

/** In how many of the templates that the member sees each fact is said, by the fact; passages in them count. */
export const saidIn = forMember(async (member: CurrentMember): Promise<Record<string, number>> => {
  const passages = new Map(
    (await passagesOfBusiness(connection(), member.business_id)).map(({ key, document }) => [
      key,
      factsIn(document),
    ]),
  );
  const said: Record<string, number> = {};
  for (const { facts, passages: own } of await standingTemplates(member))
    for (const fact of new Set([...facts, ...own.flatMap((key) => passages.get(key) ?? [])]))
      said[fact] = (said[fact] ?? 0) + 1;
  return said;
});
