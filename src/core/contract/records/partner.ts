import { object, type InferType } from 'yup';
import type { Custom } from '../../records/recordsFile';
import { VERSION } from '../numbers';
import { customFacts, shownCustom, type OwnFields } from './customFacts';
import { emailAddress, line, phoneNumber, postalAddress } from './parts';
import { shownAddress } from './shownAddress';

const PLAIN = object({
  version: VERSION,
  name: line().required('Write what the partner is called.'),
  trade: line(),
  given_name: line(),
  family_name: line(),
  email: emailAddress(),
  phone: phoneNumber(),
  address: postalAddress(),
});

/** A partner's facts with the version that was seen. */
export function partnerFacts(own: OwnFields) {
  return PLAIN.shape({ custom: customFacts('partner', own) }).noUnknown();
}
export type PartnerFacts = InferType<typeof PLAIN> & { custom?: Custom };

/** As a form's controls show them. */
export function shownPartner({ version: _, address, custom, ...facts }: PartnerFacts, own: OwnFields) {
  return {
    trade: '',
    given_name: '',
    family_name: '',
    email: '',
    phone: '',
    ...facts,
    address: shownAddress(address),
    custom: shownCustom('partner', custom, own),
  };
}
