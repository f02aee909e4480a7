'use client';

import { shownAddress } from '../../core/contract/records/shownAddress';
import { AddressFields } from '../forms/AddressFields';
import { Field } from '../forms/Field';
import { PieceList } from '../forms/PieceList';

/** Further telephone numbers of a client, each with what it is for. */
export function MorePhones() {
  return (
    <PieceList name="more_phones" one="number" add="Add a number" empty={() => ({ use: '', number: '' })}>
      {(at) => (
        <div className="address-fields">
          <Field name={`${at}.number`} label="Number" type="tel" autoComplete="off" />
          <Field
            name={`${at}.use`}
            label="What it is for"
            help="As work, or the caretaker."
            autoComplete="off"
          />
        </div>
      )}
    </PieceList>
  );
}

/** Further addresses, each with what it is for: visits can be at one by a press. */
export function MoreAddresses({ locale }: { locale: string }) {
  return (
    <PieceList
      name="more_addresses"
      one="address"
      add="Add an address"
      empty={() => ({ use: '', address: shownAddress() })}
    >
      {(at) => (
        <>
          <Field
            name={`${at}.use`}
            label="What is there"
            help="As the workshop, or the summer house."
            autoComplete="off"
          />
          <AddressFields name={`${at}.address`} label="Address there" locale={locale} />
        </>
      )}
    </PieceList>
  );
}
