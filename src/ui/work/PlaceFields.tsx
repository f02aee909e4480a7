'use client';

import { useFormContext } from 'react-hook-form';
import type { ClientParts } from '../../core/contract/records/formChoices';
import { shownAddress } from '../../core/contract/records/shownAddress';
import { AddressFields } from '../forms/AddressFields';

interface Props {
  locale: string;
  client: Pick<ClientParts, 'address' | 'addresses'>;
}

/** Where something is done: an address, which can be one of the client's by a press. */
export function PlaceFields({ locale, client: { address, addresses } }: Props) {
  const { setValue } = useFormContext();
  const places = [
    ...(address ? [['The client’s address', address] as const] : []),
    ...addresses.map(([use, place]) => [`Their address: ${use}`, place] as const),
  ];
  return (
    <>
      <AddressFields name="location" label="Address" locale={locale} />
      {addresses.length > 0 && (
        <p className="ways">
          {places.map(([use, place]) => (
            <button
              key={use}
              type="button"
              className="btn btn-link"
              onClick={() => setValue('location', shownAddress(place), { shouldDirty: true })}
            >
              {use}
            </button>
          ))}
        </p>
      )}
    </>
  );
}
