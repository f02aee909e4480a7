import { compileTemplate } from '../../core/fill/compileTemplate';
import { labelsOf, type Labels } from '../../core/fill/describe/labels';
import { readPassages } from '../../core/fill/paths/scope';
import { inWords } from '../../core/problems/problem';
import type { Passage, Template } from '../../core/template/template';
import { schemaOfBusiness } from '../../data/repositories/schemaOfBusiness';
import { passagesOfBusiness, templateByKey } from '../../data/repositories/templates/templatesOfBusiness';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { forMember } from '../forMember';

/** A template to be read as a letter in pencil, with the passages it uses and its tags in words. */
export interface TemplateInPencil extends Template {
  key: string;
  version: number;
  passages: Passage[];
  labels: Labels;
  /** what keeps it from being filled, in words */
  problems: string[];
}

export const templateInPencil = forMember(
  async ({ business_id, id }: CurrentMember, key: string): Promise<TemplateInPencil | undefined> => {
    const [template, passages, schema] = await Promise.all([
      templateByKey(connection(), business_id, id, key),
      passagesOfBusiness(connection(), business_id),
      schemaOfBusiness(connection(), business_id),
    ]);
    if (!template) return undefined;
    const context = { schema, passages: readPassages(passages) };
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
    };
  },
);
