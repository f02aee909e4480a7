import { object, string } from 'yup';
import { VERSION } from './numbers';

/** The name of something that templates call by it, as a passage and a signature are: "passage". */
export function nameOf(what: string) {
  return string()
    .required(`Give the ${what} a name.`)
    .matches(/\S/, `Give the ${what} a name.`)
    .matches(/^[^{}|]*$/, `A ${what}’s name has no braces and no “|”.`)
    .max(100, `A ${what}’s name has at most 100 characters.`);
}

/** One of them to be removed: given to `/api/passages/<key>` and `/api/signatures/<key>`. */
export const REMOVAL = object({ version: VERSION }).noUnknown();

/** What came of making, keeping or removing one. */
export type NamedAnswer =
  | { result: 'done'; key: string; version: number }
  /** another has the name */
  | { result: 'taken'; error: string; field: 'name' }
  /** its words, or what they would make of a template, in sentences */
  | { result: 'wrong'; error: string; problems: string[] }
  | { result: 'overtaken'; error: string }
  /** it stands in templates */
  | { result: 'used'; error: string }
  | { result: 'gone'; error: string };
