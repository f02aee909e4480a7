import { array, object, string, type InferType } from 'yup';
import type { ForeignTemplate } from '../adopting/adopt';
import { readMeant } from '../adopting/meant';
import { LONGEST_WORDS } from '../template/text/tooLarge';
import { VERSION } from './numbers';

/** So many templates are brought in at once. */
export const MOST_BROUGHT = 300;

/** A template that was read from a file: one of ours in its text form, or one from elsewhere. */
export type ReadTemplate = { file: string; besides: readonly string[] } & (
  { own: string } | { foreign: ForeignTemplate }
);

/** What a file holds: answered by `/api/templates/foreign?name=…`. */
export interface ReadTemplates {
  templates: ReadTemplate[];
  passages: { file: string; name: string; text: string }[];
  /** what was left, and why */
  left: { file: string; why: string }[];
}

const KEY = string().min(1).max(100);
const TEXT = string()
  .required()
  .max(LONGEST_WORDS, `These words are longer than ${LONGEST_WORDS} characters.`);

/** What foreign names were said to mean. */
const MEANT = array(
  object({
    name: string().required().max(200),
    meant: string()
      .required()
      .test('meant', 'This is no field.', (text) => text === undefined || readMeant(text) !== undefined),
  }).noUnknown(),
)
  .required()
  .max(2000);

/** What foreign names mean, to be remembered at once: given to `/api/templates/foreign` with PUT. */
export const MEANT_NAMES = object({ names: MEANT }).noUnknown();

/** What is brought in, all of it or nothing: given to `/api/templates/brought`. */
export const TO_BRING = object({
  templates: array(
    object({
      /** in its text form */
      text: TEXT,
      /** the group it stands in, by its key, null: none; absent: that which its head names, made where there is none */
      group: KEY.nullable(),
      /** the template that it takes the place of, as a version of it */
      instead: object({ key: KEY.required(), version: VERSION }).noUnknown().optional().default(undefined),
    }).noUnknown(),
  )
    .required()
    .max(MOST_BROUGHT, `At most ${MOST_BROUGHT} templates are brought in at once.`),
  /** passages that there are none of by their name */
  passages: array(object({ name: string().required().max(100), text: TEXT }).noUnknown())
    .required()
    .max(MOST_BROUGHT),
  names: MEANT,
}).noUnknown();
export type ToBring = InferType<typeof TO_BRING>;

/** What came of it. */
export type BroughtAnswer =
  | { result: 'done'; templates: { key: string; name: string; isNew: boolean }[]; passages: number }
  /** nothing came in; why, by which */
  | { result: 'wrong'; error: string; problems: { name: string; error: string }[] };

/** New templates to be put in the trash, right after they came in: given to `/api/templates/brought` with DELETE. */
export const BROUGHT_AWAY = object({ keys: array(KEY.required()).required().max(MOST_BROUGHT) }).noUnknown();
