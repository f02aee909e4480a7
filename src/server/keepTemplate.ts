import { UniqueConstraintError } from 'sequelize';
import type { Problem } from '../core/problems/problem';
import { headPlace, readTemplateWords } from '../core/writing/readTemplateWords';
import { keepVersion, type Keeping } from '../data/repositories/templateVersions';
import { templateByKey } from '../data/repositories/templatesOfBusiness';
import { connection } from './connection';
import type { CurrentMember } from './currentMember';
import { wordsContext, wordsFacts } from './wordsContext';

/**
 * Keeps a template's words, in their text form, as a new version.
 * @param version the one they were written from: a later writer is told when it is no longer the last
 */
export async function keepTemplate(
  { business_id, id }: CurrentMember,
  key: string,
  version: number,
  text: string,
): Promise<Keeping | { result: 'wrong'; problems: Problem[] }> {
  // Words are only read for whoever may keep them, and on the version that stands.
  const standing = await templateByKey(connection(), business_id, id, key);
  if (!standing) return { result: 'gone' };
  const facts = standing.version === version ? await wordsFacts(business_id) : undefined;
  const { template, problems } = facts
    ? readTemplateWords(text, wordsContext(facts))
    : { template: standing, problems: [] };
  if (!template) return { result: 'wrong', problems };
  try {
    return await keepVersion(connection(), { business_id, member_id: id }, key, version, template);
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    const message = `There is another template called “${template.head.name}”. Give it a name of its own.`;
    return { result: 'wrong', problems: [{ ...headPlace(text, 'name'), message }] };
  }
}
