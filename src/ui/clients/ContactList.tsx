'use client';

import { shownContact } from '../../core/contract/records/shownClient';
import { CHOICES } from '../../core/records/catalogue/choices';
import { Field } from '../forms/Field';
import { KeyChoice } from '../forms/KeyChoice';
import { PieceList } from '../forms/PieceList';

/** The people at a client, and which letters each of them gets. */
export function ContactList() {
  return (
    <section className="form-part" aria-labelledby="client-people">
      <h2 id="client-people">People</h2>
      <PieceList name="contacts" one="person" add="Add a person" empty={shownContact}>
        {(at) => (
          <>
            <div className="address-fields">
              <Field name={`${at}.given_name`} label="Given name" autoComplete="off" />
              <Field name={`${at}.family_name`} label="Family name" autoComplete="off" />
              <Field name={`${at}.role`} label="What they do there" />
              <Field name={`${at}.email`} label="Email address" type="email" autoComplete="off" />
              <Field name={`${at}.phone`} label="Telephone" type="tel" autoComplete="off" />
              <Field name={`${at}.mobile`} label="Mobile" type="tel" autoComplete="off" />
            </div>
            <details className="form-more">
              <summary>More of the name</summary>
              <div className="address-fields">
                <Field name={`${at}.preferred_name`} label="Wants to be called" />
                <Field name={`${at}.honorific`} label="Mr, Ms, Dr" />
              </div>
            </details>
            <KeyChoice name={`${at}.uses`} label="Gets" options={USES} />
          </>
        )}
      </PieceList>
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
