'use client';

import { addressOrder, type AddressPart } from '../../core/fill/formats/addressOrder';
import { Field } from './Field';
import { LabelledGroup } from './Labelled';

interface Props {
  name: string;
  label: string;
  /** of the business: its country's order is the form's */
  locale: string;
}

const LABELS: Readonly<Record<AddressPart, string>> = {
  street: 'Street',
  town: 'Town',
  region: 'Region',
  postcode: 'Postcode',
  country: 'Country',
};

/** A postal address, its parts in the order of the business's country. */
export function AddressFields({ name, label, locale }: Props) {
  return (
    <LabelledGroup name={name} label={label}>
      <div className="address-fields">
        {addressOrder(locale).map((part) => (
          <Field
            key={part}
            name={`${name}.${part}`}
            label={LABELS[part]}
            {...(part === 'street' ? { as: 'textarea' as const, rows: 2 } : {})}
            {...(part === 'country' ? { help: 'Left empty: your own.' } : {})}
          />
        ))}
      </div>
    </LabelledGroup>
  );
}
