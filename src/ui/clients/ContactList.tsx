'use client';

import { useFieldArray, useFormContext } from 'react-hook-form';
import { shownContact } from '../../core/contract/records/shownClient';
import { CHOICES } from '../../core/records/catalogue/choices';
import { Field } from '../forms/Field';
import { KeyChoice } from '../forms/KeyChoice';
import { useRemoving } from '../forms/useRemoving';

/** The people at a client, and which letters each of them gets. */
export function ContactList() {
  const { control } = useFormContext();
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'contacts' });
  const { note, removing } = useRemoving('contacts', remove, insert);
  return (
    <section className="form-part" aria-labelledby="client-people">
      <h2 id="client-people">People</h2>
      {fields.map(({ id }, i) => (
        <fieldset key={id} className="form-piece">
          <legend className="visually-hidden">Person {i + 1}</legend>
          <div className="address-fields">
            <Field name={`contacts.${i}.given_name`} label="Given name" autoComplete="off" />
            <Field name={`contacts.${i}.family_name`} label="Family name" autoComplete="off" />
            <Field name={`contacts.${i}.role`} label="What they do there" />
            <Field name={`contacts.${i}.email`} label="Email address" type="email" autoComplete="off" />
            <Field name={`contacts.${i}.phone`} label="Telephone" type="tel" autoComplete="off" />
            <Field name={`contacts.${i}.mobile`} label="Mobile" type="tel" autoComplete="off" />
          </div>
          <details className="form-more">
            <summary>More of the name</summary>
            <div className="address-fields">
              <Field name={`contacts.${i}.preferred_name`} label="Wants to be called" />
              <Field name={`contacts.${i}.honorific`} label="Mr, Ms, Dr" />
            </div>
          </details>
          <KeyChoice name={`contacts.${i}.uses`} label="Gets" options={USES} />
          <button type="button" className="btn btn-link" onClick={() => removing(i, 'The person')}>
            Take this person out
          </button>
        </fieldset>
      ))}
      {note}
      <button type="button" className="btn btn-outline-primary" onClick={() => append(shownContact())}>
        Add a person
      </button>
    </section>
  );
}

const USED_FOR: Readonly<Record<(typeof CHOICES)['contact.uses'][number], string>> = {
  main: 'letters of every kind',
  invoices: 'invoices',
  bookings: 'bookings',
  'copy of invoices': 'a copy of invoices',
  'copy of bookings': 'a copy of bookings',
};
const USES = CHOICES['contact.uses'].map((use) => [use, USED_FOR[use]] as const);
