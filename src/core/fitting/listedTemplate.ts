import type { KeptTemplate, TemplateHead } from '../template/template';
import { speaksOf, type Topics } from './speaksOf';

/** A template as a list keeps it: all that it is chosen by, without its words. */
export interface ListedTemplate {
  key: string;
  version: number;
  head: TemplateHead;
  topics: Topics;
  /** ISO moment at which this version was kept: the same key and version can have other words in a database made anew */
  keptAt: string;
}

/** A template's words, to be kept on a device beside the list. */
export type TemplateWords = KeptTemplate & Pick<ListedTemplate, 'keptAt'>;

/** A template with its words, or as it is listed without them. */
export type AnyTemplate = KeptTemplate | ListedTemplate;

/** What a list keeps of a template. */
export function listed(template: TemplateWords): ListedTemplate {
  const { key, version, head, keptAt } = template;
  return { key, version, head, keptAt, topics: speaksOf(template) };
}

/** Whether a template's words are at hand, so that it can be filled. */
export function hasWords(template: AnyTemplate): template is KeptTemplate {
  return 'document' in template;
}

/** What a template always speaks of, from its words or as its list has it. */
export function topicsOf(template: AnyTemplate): Topics {
  return hasWords(template) ? speaksOf(template) : template.topics;
}
