import { array, object, string, type InferType } from 'yup';
import { CHOICES } from '../../records/catalogue/choices';
import { VERSION } from '../numbers';
import type { OwnFields } from './customFacts';
import { clockMoment, day, emailAddress, line, lines, phoneNumber, recordKey, shownMoment } from './parts';

const FACTS = {
  version: VERSION,
  /** by key, where the enquirer is a client */
  client: recordKey(),
  via: line(),
  name: line(),
  email: emailAddress(),
  phone: phoneNumber(),
  message: lines(20_000),
  service: line(),
  wanted_on: array(day().required()).required().max(60, 'At most 60 days.'),
  status: string().oneOf(CHOICES['enquiry.status']).required(),
};
const received = (zone: string) => ({ received_at: clockMoment(zone).required('Write when they asked.') });
const plain = ({ zone }: OwnFields) => object({ ...FACTS, ...received(zone) });

/** An enquiry's facts with the version that was seen. Moments are ISO with offset. */
export function enquiryFacts(own: OwnFields) {
  return plain(own)
    .noUnknown()
    .test(
      'somebody',
      'Write who asks: a name, or an email address.',
      ({ client, name, email }, { createError }) =>
        Boolean(client ?? name ?? email) || createError({ path: 'name' }),
    );
}
export type EnquiryFacts = InferType<ReturnType<typeof plain>>;

/** As a form's controls show them. */
export function shownEnquiry({ version: _, received_at, ...facts }: EnquiryFacts, { zone }: OwnFields) {
  return {
    client: '',
    via: '',
    name: '',
    email: '',
    phone: '',
    message: '',
    service: '',
    ...facts,
    received_at: shownMoment(received_at, zone),
  };
}
