import type { DraftsOfTemplate, WordsFacts } from '../../core/contract/templateWords';
import { compileTemplate } from '../../core/fill/compileTemplate';
import { labelsOf, type Labels } from '../../core/fill/describe/labels';
import { readPassages } from '../../core/fill/paths/scope';
import { inWords } from '../../core/problems/problem';
import { schemaOf } from '../../core/records/schema';
import type { Passage, Template } from '../../core/template/template';
import { templateByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';
import { draftsOf } from './templateDrafts';
import { wordsFacts } from './wordsContext';

/** A template to be read as a letter in pencil, with the passages it uses and its tags in words, and what it is written with. */
export interface TemplateInPencil extends Template {
  key: string;
  version: number;
  passages: Passage[];
  labels: Labels;
  /** what keeps it from being filled, in words */
  problems: string[];
  facts: WordsFacts;
  drafts: DraftsOfTemplate;
}

export const templateInPencil = forMember(
  async (member: CurrentMember, key: string): Promise<TemplateInPencil | undefined> => {
    const { business_id, id } = member;
    const template = await templateByKey(connection(), business_id, id, key);
    if (!template) return undefined;
    const [facts, drafts] = await Promise.all([wordsFacts(member), draftsOf(member, key)]);
    const { passages } = facts;
    const context = { schema: schemaOf({ business: facts.business }), passages: readPassages(passages) };
    const labels = labelsOf(template, context);
    for (const { document } of passages)
      Object.assign(labels, labelsOf({ head: { ...template.head, subject: [] }, document }, context));
    const { head, document, version } = template;
    return {
      key,
      version,
      head,
      document,
      passages,
      labels,
      problems: compileTemplate(template, context).problems.map(inWords),
      facts,
      drafts,
    };
  },
);
