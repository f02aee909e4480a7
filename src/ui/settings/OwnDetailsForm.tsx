'use client';

import type { ReactNode } from 'react';
import { OWN_DETAILS, type OwnDetails } from '../../core/contract/records/ownDetails';
import { shownDetails } from '../../core/contract/records/shownDetails';
import { AddressFields } from '../forms/AddressFields';
import { DayList } from '../forms/DayList';
import { Choice, Field } from '../forms/Field';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { PictureField } from '../forms/PictureField';
import { Said, saidOf } from '../forms/said';
import { useKeptForm } from '../forms/useKeptForm';
import { WeekdayChoice } from '../forms/WeekdayChoice';

export interface OwnDetailsFormProps {
  /** whose what is typed is, on this device */
  owner: string;
  details: OwnDetails;
  /** sums were written down in it */
  currencyStays: boolean;
  choices: {
    zones: readonly string[];
    /** ISO 4217 with their names */
    currencies: readonly (readonly [code: string, name: string])[];
    /** Monday first */
    days: readonly string[];
    /** the public holidays that come, where they are known */
    holidays: readonly { date: string; name: string }[];
  };
  /** in how many templates each fact is said */
  said?: Readonly<Record<string, number>>;
  button?: string;
  onKept?: () => void;
  children?: ReactNode;
}

/** What a business says of itself: every template draws on it. */
export function OwnDetailsForm({
  owner,
  details,
  currencyStays,
  choices,
  said = {},
  button,
  onKept,
  children,
}: OwnDetailsFormProps) {
  const kept = useKeptForm<OwnDetails>({
    place: `${owner} own details`,
    schema: OWN_DETAILS,
    facts: details,
    shown: shownDetails,
    path: '/api/business/details',
    ...(onKept ? { onKept } : {}),
  });
  const { locale } = details;
  return (
    <Said value={saidOf('business', said)}>
      <KeptFormFrame kept={kept} {...(button ? { button, always: true } : {})} beside={children}>
        <section className="form-part" aria-labelledby="details-seen">
          <h2 id="details-seen">What clients read</h2>
          <Field name="name" label="Name" autoComplete="organization" />
          <Field
            name="legal_name"
            label="Legal name"
            help="The name that stands in contracts, where it is another."
          />
          <Field name="phone" label="Telephone" type="tel" autoComplete="tel" />
          <Field name="email" label="Email address" type="email" autoComplete="email" />
          <Field name="website" label="Website" type="url" placeholder="https://" autoComplete="url" />
          <AddressFields name="address" label="Address" locale={locale} />
          <PictureField
            name="logo"
            label="Logo"
            help="It stands where the letterhead and templates have it, and on invoices."
            alt="Your logo"
          />
          <Field
            name="payment_details"
            label="How to pay you"
            as="textarea"
            rows={3}
            help="The account, as your invoices and reminders say it."
          />
        </section>
        <section className="form-part" aria-labelledby="details-words">
          <h2 id="details-words">What you call things</h2>
          <Field name="booking_label" label="A booking" help="As “visit”, “appointment”, “lesson”." />
          <Field name="item_label" label="A thing that you work on" help="As “garden”, “boat”, “boiler”." />
        </section>
        <section className="form-part" aria-labelledby="details-time">
          <h2 id="details-time">When you work</h2>
          <WeekdayChoice name="working_days" label="Days" days={choices.days} />
          <DayList name="holidays" label="Days off" locale={locale} likely={choices.holidays} />
        </section>
        <section className="form-part" aria-labelledby="details-written">
          <h2 id="details-written">How dates and sums are written</h2>
          <Field name="locale" label="Language and country" help="As en-GB, de-DE, fr-CH." />
          <Choice
            name="time_zone"
            label="Your clock"
            options={choices.zones.map((zone) => [zone, zone.replaceAll('_', ' ')])}
          />
          <Choice
            name="hour_cycle"
            label="Hours"
            options={[
              ['24', '17:30'],
              ['12', '5:30 pm'],
            ]}
          />
          {currencyStays ? (
            <p className="form-field">
              Sums are in {details.currency}. There are some by now: the currency stays.
            </p>
          ) : (
            <Choice
              name="currency"
              label="Currency"
              options={choices.currencies.map(([code, name]) => [code, `${name} (${code})`])}
            />
          )}
        </section>
      </KeptFormFrame>
    </Said>
  );
}
