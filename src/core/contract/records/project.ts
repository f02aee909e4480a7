import { array, object, string, type InferType } from 'yup';
import { CHOICES } from '../../records/catalogue/choices';
import type { Custom } from '../../records/recordsFile';
import { VERSION } from '../numbers';
import { customFacts, shownCustom, type OwnFields } from './customFacts';
import { day, line, lines, postalAddress, recordKey, shownSum, sum } from './parts';
import { shownAddress } from './shownAddress';

const FACTS = {
  version: VERSION,
  /** the client, the member and the people by their keys */
  client: recordKey().required('Choose whose it is.'),
  title: line().required('Write what the job is called.'),
  status: string().oneOf(CHOICES['project.status']).required(),
  location: postalAddress(),
  starts_on: day(),
  ends_on: day(),
  notes: lines(20_000),
  responsible: recordKey(),
  contacts: array(recordKey().required()).required().max(100, 'At most 100 people.'),
  partners: array(recordKey().required()).required().max(100, 'At most 100 partners.'),
};
const worth = (currency: string) => ({
  value: sum(currency).test(
    'value',
    'A value is not below nothing.',
    (value) => value === undefined || value >= 0,
  ),
});
const plain = ({ currency }: OwnFields) => object({ ...FACTS, ...worth(currency) });

/** A project's facts with the version that was seen. Dates are ISO, sums minor units. */
export function projectFacts(own: OwnFields) {
  return plain(own)
    .shape({ custom: customFacts('project', own) })
    .noUnknown()
    .test(
      'order',
      'It ends before it begins.',
      ({ starts_on, ends_on }, { createError }) =>
        !starts_on || !ends_on || ends_on >= starts_on || createError({ path: 'ends_on' }),
    );
}
export type ProjectFacts = InferType<ReturnType<typeof plain>> & { custom?: Custom };

/** As a form's controls show them. */
export function shownProject(
  { version: _, value, location, custom, ...facts }: ProjectFacts,
  own: OwnFields,
) {
  return {
    starts_on: '',
    ends_on: '',
    notes: '',
    responsible: '',
    ...facts,
    value: shownSum(value, own.currency),
    location: shownAddress(location),
    custom: shownCustom('project', custom, own),
  };
}
