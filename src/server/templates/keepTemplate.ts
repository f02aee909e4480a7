import { UniqueConstraintError } from 'sequelize';
import type { KeepAnswer } from '../../core/contract/templateWords';
import type { Template } from '../../core/template/template';
import { headPlace } from '../../core/writing/readTemplateWords';
import { keepVersion } from '../../data/repositories/templates/templateVersions';
import { templateByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { forMember } from '../forMember';
import { wordsFacts } from './wordsContext';
import { readWords, saySlow } from './wordsReader';

/**
 * Keeps a template's words, in their text form, as a new version.
 * @param version the one they were written from: a later writer is told when it is no longer the last
 */
export async function keepTemplate(
  member: CurrentMember,
  key: string,
  version: number,
  text: string,
): Promise<KeepAnswer<Date>> {
  // Words are only read for whoever may keep them, and on the version that stands.
  const standing = await standingTemplate(member, key);
  if (!standing) return { result: 'gone' };
  if (!standing.head.mine) mustChangeShared(member);
  const facts = standing.version === version ? await wordsFacts(member) : undefined;
  const { template, problems } = facts
    ? await readWords(text, facts).catch(saySlow)
    : { template: standing, problems: [] };
  if (!template) return { result: 'wrong', problems };
  // Nor may one's own become everyone's by whoever may not change those.
  if (!template.head.mine) mustChangeShared(member);
  try {
    return await keepWords(member, key, version, template);
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    const message = `There is another template called “${template.head.name}”. Give it a name of its own.`;
    return { result: 'wrong', problems: [{ ...headPlace(text, 'name'), message }] };
  }
}

const standingTemplate = forMember(({ business_id, id }, key: string) =>
  templateByKey(connection(), business_id, id, key),
);

/** In a transaction of its own: reading what is kept takes a while, and no connection waits for that. */
const keepWords = forMember(({ business_id, id }, key: string, version: number, template: Template) =>
  keepVersion(connection(), { business_id, member_id: id }, key, version, template),
);
