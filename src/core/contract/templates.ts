import { object, string, type InferType } from 'yup';
import { STARTING_POINTS } from '../records/recordKind';
import { LONGEST_WORDS } from '../template/text/tooLarge';

const KEY = string().min(1).max(100);

/** A template to be made: given to `/api/templates`. */
export const NEW_TEMPLATE = object({
  name: string()
    .required('Give the template a name.')
    .matches(/\S/, 'Give the template a name.')
    .max(100, 'A template’s name has at most 100 characters.'),
  startsFrom: string()
    .oneOf(STARTING_POINTS, 'Choose what it starts from.')
    .required('Choose what it starts from.'),
  /** the group it stands in, by its key; null: none */
  group: KEY.nullable().defined(),
  /** what it says, in its text form; absent: the first words of a letter */
  text: string().max(LONGEST_WORDS, `These words are longer than ${LONGEST_WORDS} characters.`),
}).noUnknown();
export type NewTemplate = InferType<typeof NEW_TEMPLATE>;

/** What a template is called that is somebody else's own, and whose it is. */
export interface OthersTemplate {
  name: string;
  whose: string;
}

/** The templates that have some words: answered by `/api/templates?find=`. */
export interface FoundTemplates {
  keys: string[];
  /** those of others alone that are called so: they are offered to nobody else */
  others: OthersTemplate[];
}

/** What came of making, copying, throwing away or putting back a template. */
export type TemplateAnswer =
  | { result: 'done'; key: string }
  /** another template has the name */
  | { result: 'taken'; error: string; field: 'name' }
  /** its words cannot be read */
  | { result: 'wrong'; error: string }
  /** an act of the work relies on it */
  | { result: 'used'; error: string }
  | { result: 'gone'; error: string };

/** What is said of one that cannot be thrown away. */
export const STAYS =
  'An act of the work relies on it, so that it cannot be thrown away. Reword it, or let it rest: its first wording can be put back under Versions.';

/** What depends on a template, before it goes. */
export interface TemplateUses {
  /** letters that were written from it */
  letters: number;
  /** of these, those that have not gone yet */
  waiting: number;
  /** the act of the work it belongs to, and the other templates that do */
  act?: { name: string; others: string[] };
  /** whether it came with the application and an act of the work relies on it: it can rest, not go */
  stays: boolean;
}

/** A template in the trash. */
export interface TrashedEntry {
  key: string;
  name: string;
  /** in words */
  when: string;
}

/** The forms in which templates are taken out: their text form, JSON, pages. */
export const TEMPLATE_FORMS = ['text', 'json', 'page'] as const;
export type TemplateForm = (typeof TEMPLATE_FORMS)[number];
