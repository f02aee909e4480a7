import { array, object, string, type InferType } from 'yup';
import { CHOICES } from '../../records/catalogue/choices';
import { VERSION } from '../numbers';
import { line, webAddress } from './parts';

/** The kinds of record that may have fields of a business's own. */
export const OWN_FIELD_RECORDS = [
  ...(['client', 'item', 'project', 'booking', 'invoice', 'partner', 'member', 'business'] as const),
];

const FIELD = object({
  /** its part of a path; one that is there has one, and keeps it */
  key: line(60),
  record: string().oneOf(OWN_FIELD_RECORDS).required(),
  label: line(60).required('Write what it is called.'),
  type: string().oneOf(CHOICES['custom_field.type']).required(),
  help: line(200),
  /** of a choice: one a line */
  choices: array(line().required())
    .transform((value: unknown, typed: unknown) =>
      typeof typed === 'string'
        ? [...new Set(typed.split('\n').map((one) => one.trim()))].filter(Boolean)
        : value,
    )
    .max(100, 'At most 100 choices.')
    .optional(),
})
  .noUnknown()
  .test(
    'choices',
    'Write what can be chosen, one a line.',
    ({ type, choices }, { createError, path }) =>
      type !== 'choice' || Boolean(choices?.length) || createError({ path: `${path}.choices` }),
  );

/** The fields that a business keeps of its own, with its version as it was seen: given to `/api/business/fields`. */
export const OWN_FIELDS = object({
  version: VERSION,
  fields: array(FIELD).required().max(200, 'At most 200 fields.'),
}).noUnknown();
export type OwnFieldsFacts = InferType<typeof OWN_FIELDS>;
export type OwnField = OwnFieldsFacts['fields'][number];

/** As a form's controls show one. */
export function shownOwnField({ choices, ...field }: Partial<OwnField>) {
  return {
    key: '',
    record: 'client',
    label: '',
    type: 'text',
    help: '',
    ...field,
    choices: (choices ?? []).join('\n'),
  };
}

/** As a form's controls show them. */
export function shownOwnFields({ fields }: OwnFieldsFacts) {
  return { fields: fields.map(shownOwnField) };
}

const LINK = object({
  key: line(60),
  name: line().required('Write what it is called.'),
  address: webAddress().required('Write the address.'),
}).noUnknown();

/** The links that are kept once, with the business's version as it was seen: given to `/api/business/links`. */
export const OWN_LINKS = object({
  version: VERSION,
  links: array(LINK).required().max(200, 'At most 200 links.'),
}).noUnknown();
export type OwnLinksFacts = InferType<typeof OWN_LINKS>;

/** As a form's controls show them. */
export function shownOwnLinks({ links }: OwnLinksFacts) {
  return { links: links.map((link) => ({ key: '', ...link })) };
}
