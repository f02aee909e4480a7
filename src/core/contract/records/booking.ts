import { array, object, string, type InferType, type TestContext } from 'yup';
import { readMoment } from '../../dates/zone';
import { CHOICES } from '../../records/catalogue/choices';
import type { Custom } from '../../records/recordsFile';
import { VERSION } from '../numbers';
import { customFacts, shownCustom, type OwnFields } from './customFacts';
import { clockMoment, line, lines, postalAddress, recordKey, shownMoment, shownSum, sum } from './parts';
import { shownAddress } from './shownAddress';

/** No visit is longer, in days: what is more is a slip. */
const LONGEST = 366;

const FACTS = {
  version: VERSION,
  /** the client, project, member and items by their keys */
  client: recordKey().required('Choose whose it is.'),
  project: recordKey(),
  service: line().required('Write what is done.'),
  status: string().oneOf(CHOICES['booking.status']).required(),
  location: postalAddress(),
  member: recordKey(),
  items: array(recordKey().required()).required().max(100, 'At most 100.'),
  notes: lines(20_000),
};
const times = (zone: string, currency: string) => ({
  starts_at: clockMoment(zone).required('Write when it begins.'),
  ends_at: clockMoment(zone).required('Write when it ends.'),
  price: sum(currency).test(
    'price',
    'A price is not below nothing.',
    (price) => price === undefined || price >= 0,
  ),
});
const plain = ({ zone, currency }: OwnFields) => object({ ...FACTS, ...times(zone, currency) });

const IN_ORDER = {
  name: 'order',
  message: 'It ends before it begins.',
  test: (
    { starts_at, ends_at }: { starts_at?: string | undefined; ends_at?: string | undefined },
    { createError }: TestContext,
  ) => {
    const [from, until] = [readMoment(starts_at ?? ''), readMoment(ends_at ?? '')];
    if (from === undefined || until === undefined) return true;
    if (until <= from) return createError({ path: 'ends_at' });
    return (
      until - from <= LONGEST * 86_400_000 ||
      createError({ path: 'ends_at', message: 'That is longer than a year.' })
    );
  },
};

/** A booking's facts with the version that was seen. Moments are ISO with offset, sums minor units. */
export function bookingFacts(own: OwnFields) {
  return plain(own)
    .shape({ custom: customFacts('booking', own) })
    .noUnknown()
    .test(IN_ORDER);
}

/** What another calendar brings of a visit, with the mark that tells it when it comes again. */
export function broughtBookingFacts(own: OwnFields) {
  return plain(own)
    .pick(['client', 'service', 'status', 'location', 'notes', 'starts_at', 'ends_at'])
    .shape({ uid: line(500).required() })
    .noUnknown()
    .test(IN_ORDER);
}
export type BookingFacts = InferType<ReturnType<typeof plain>> & { custom?: Custom };

/** As a form's controls show them. */
export function shownBooking(
  { version: _, starts_at, ends_at, price, location, custom, ...facts }: BookingFacts,
  own: OwnFields,
) {
  return {
    project: '',
    member: '',
    notes: '',
    ...facts,
    starts_at: shownMoment(starts_at, own.zone),
    ends_at: shownMoment(ends_at, own.zone),
    price: shownSum(price, own.currency),
    location: shownAddress(location),
    custom: shownCustom('booking', custom, own),
  };
}
