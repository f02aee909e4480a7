import { collection, scalar } from '../fieldType';
import { stored } from './field';

const text = scalar('text');
const phone = scalar('phone');

/** The fields of the business. */
export const BUSINESS = stored(
  ['name', 'name', 'What clients call the business', text],
  ['legal_name', 'legal name', 'The name that stands in contracts', text],
  ['address', 'address', 'Where the business is', scalar('address')],
  ['phone', 'phone', 'The number of the office', phone],
  ['email', 'email', 'The address of the office', text],
  ['website', 'website', 'The business’s site', scalar('link')],
  ['logo', 'logo', 'The picture at the head of a letter', scalar('image')],
  ['payment_details', 'payment details', 'How to pay: bank, sort code, account', scalar('long text')],
  ['locale', 'locale', 'How dates and sums are written, as en-GB', text],
  ['time_zone', 'time zone', 'Where the clock is read, as Europe/London', text],
  ['currency', 'currency', 'The currency of all sums, as GBP', text],
  ['hour_cycle', 'hour cycle', '12 or 24 hours', scalar('number')],
  ['working_days', 'working days', 'Days worked, 1 for Monday to 7 for Sunday', collection(scalar('number'))],
  ['holidays', 'holidays', 'Dates on which nobody works', collection(scalar('date'))],
  ['item_label', 'word for an item', 'What a thing the service is done to is called', text],
  ['booking_label', 'word for a booking', 'What a booking is called: a visit, an appointment', text],
);

/** The fields of a member. */
export const MEMBER = stored(
  ['given_name', 'given name', 'The member’s given name', text],
  ['family_name', 'family name', 'The member’s family name', text],
  ['full_name', 'full name', 'The member’s whole name', text],
  ['title', 'title', 'What the member does', text],
  ['phone', 'phone', 'The member’s number at the office', phone],
  ['mobile', 'mobile', 'The member’s mobile number', phone],
  ['email', 'email', 'The address the member writes from', text],
  ['picture', 'picture', 'A picture of the member', scalar('image')],
  ['signature', 'signature', 'What stands under the member’s letters', scalar('long text')],
);

/** The fields of a partner. */
export const PARTNER = stored(
  ['name', 'name', 'The partner’s business or name', text],
  ['trade', 'trade', 'What the partner does', text],
  ['given_name', 'given name', 'The partner’s given name', text],
  ['family_name', 'family name', 'The partner’s family name', text],
  ['email', 'email', 'The partner’s address', text],
  ['phone', 'phone', 'The partner’s number', phone],
  ['address', 'address', 'Where the partner is', scalar('address')],
);
