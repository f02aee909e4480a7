import { array, number, object, type InferType } from 'yup';
import { isTimeZone } from '../../dates/zone';
import { isLocale } from '../../records/read/storedValues';
import { VERSION } from '../numbers';
import {
  day,
  emailAddress,
  line,
  lines,
  phoneNumber,
  picture,
  postalAddress,
  weekday,
  webAddress,
} from './parts';

/** What a business says of itself, with the version that was seen: given to `/api/business/details`. */
export const OWN_DETAILS = object({
  version: VERSION,
  name: line().required('Write what clients call your business.'),
  legal_name: line(),
  address: postalAddress(),
  phone: phoneNumber(),
  email: emailAddress(),
  website: webAddress(),
  payment_details: lines(),
  logo: picture(),
  /** BCP 47 */
  locale: line(35)
    .required('Write how dates and sums are written, as en-GB.')
    .test('locale', 'There is no such language and country, as en-GB.', (tag) => isLocale(tag ?? '')),
  /** IANA */
  time_zone: line(60)
    .required('Choose where your clock is read.')
    .test('zone', 'There is no such time zone, as Europe/London.', (zone) => isTimeZone(zone ?? '')),
  /** ISO 4217 */
  currency: line(3)
    .required('Choose the currency of your sums.')
    .test('currency', 'There is no such currency, as GBP.', (code) => isCurrency(code)),
  hour_cycle: number().oneOf([12, 24]).required(),
  working_days: array(weekday()).required().min(1, 'Choose at least one day.').max(7),
  holidays: array(day().required()).required().max(200, 'So many holidays nobody has.'),
  item_label: line(40).required('Write what you call a thing that you work on, as “garden”.'),
  booking_label: line(40).required('Write what you call a booking, as “visit”.'),
}).noUnknown();
export type OwnDetails = InferType<typeof OWN_DETAILS>;

function isCurrency(code: string | undefined): boolean {
  return Intl.supportedValuesOf('currency').includes(code ?? '');
}
