import type { OwnDetails } from './ownDetails';
import { shownAddress } from './shownAddress';

/** What a business says of itself as a form's controls show it: nothing is an empty text, a street is one. */
export function shownDetails({ version: _, address, ...facts }: OwnDetails) {
  return {
    legal_name: '',
    phone: '',
    email: '',
    website: '',
    payment_details: '',
    logo: '',
    ...facts,
    address: shownAddress(address),
  };
}
