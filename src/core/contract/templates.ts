import { object, string, type InferType } from 'yup';
import { STARTING_POINTS } from '../records/recordKind';

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
}).noUnknown();
export type NewTemplate = InferType<typeof NEW_TEMPLATE>;

/** What came of making, copying, throwing away or putting back a template. */
export type TemplateAnswer =
  | { result: 'done'; key: string }
  /** another template has the name */
  | { result: 'taken'; error: string; field: 'name' }
  | { result: 'gone'; error: string };

/** What depends on a template, before it goes. */
export interface TemplateUses {
  /** letters that were written from it */
  letters: number;
  /** of these, those that have not gone yet */
  waiting: number;
  /** the act of the work it belongs to, and the other templates that do */
  act?: { name: string; others: string[] };
}

/** A template in the trash. */
export interface TrashedEntry {
  key: string;
  name: string;
  /** in words */
  when: string;
}
