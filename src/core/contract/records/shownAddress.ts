import type { AddressData } from '../../records/recordsFile';

/** An address as a form's controls show it. */
export function shownAddress({
  street = [],
  town = '',
  region = '',
  postcode = '',
  country = '',
}: AddressData = {}) {
  return { street: street.join('\n'), town, region, postcode, country };
}
