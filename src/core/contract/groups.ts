import { array, object, string, type InferType } from 'yup';
import { TINTS } from '../template/proposeGroup';
import type { GroupHead } from './list';
import { VERSION } from './numbers';

/** What a text says that no group is called: a template without one. */
export const NO_GROUP = 'none';

const KEY = string().min(1).max(100);
const NAME = string()
  .required('Give the group a name.')
  .matches(/\S/, 'Give the group a name.')
  .max(60, 'A group’s name has at most 60 characters.')
  .test('not-none', 'A group cannot be called “none”.', (name) => name?.trim().toLowerCase() !== NO_GROUP);
const INITIAL = string().matches(/^[^\s]{1,2}$/u, 'An initial is one or two letters.');
const TINT = string().oneOf(TINTS, 'Choose one of the six tints.');

/** A group to be made: given to `/api/groups`. Without an initial or tint it is given those that none has. */
export const NEW_GROUP = object({
  name: NAME,
  initial: INITIAL,
  tint: TINT,
}).noUnknown();
export type NewGroup = InferType<typeof NEW_GROUP>;

/** A group's name and look, changed: given to `/api/groups/<key>`. */
export const GROUP_CHANGE = object({
  version: VERSION,
  name: NAME,
  initial: INITIAL.required('Give it one or two letters.'),
  tint: TINT.required('Choose one of the six tints.'),
}).noUnknown();
export type GroupChange = InferType<typeof GROUP_CHANGE>;

/** A group to be removed, and the one its templates go to: null, to none. */
export const GROUP_REMOVAL = object({ version: VERSION, to: KEY.nullable().defined() }).noUnknown();
export type GroupRemoval = InferType<typeof GROUP_REMOVAL>;

/** The groups in another order, by their keys: those that are not named come last. */
export const GROUP_ORDER = object({ order: array(KEY.required()).max(500).required() }).noUnknown();

/** Templates in other places: under each group, by its key or null for none, the keys of its templates in their order. */
export const ARRANGEMENT = object({
  under: array(
    object({ group: KEY.nullable().defined(), templates: array(KEY.required()).max(5000).required() }),
  )
    .max(500)
    .required(),
}).noUnknown();
export type Arrangement = InferType<typeof ARRANGEMENT>['under'];

/** What came of a change to a group; a new one comes with the look it was given. */
export type GroupAnswer =
  | { result: 'done'; key: string; made?: GroupHead }
  /** another group has the name */
  | { result: 'taken'; error: string; field: 'name' }
  /** somebody has changed it since */
  | { result: 'overtaken'; error: string }
  | { result: 'gone'; error: string };
