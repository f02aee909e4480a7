'use client';

import { useEffect, useState } from 'react';
import { useWatch, type UseFormReturn, type FieldValues } from 'react-hook-form';
import { shownBooking, type BookingFacts } from '../../core/contract/records/booking';
import type { ClientParts, FormChoices } from '../../core/contract/records/formChoices';
import { shownSum } from '../../core/contract/records/parts';
import { shownAddress } from '../../core/contract/records/shownAddress';
import type { ServiceFacts } from '../../core/contract/records/workWays';
import { capital } from '../../core/describe/capital';
import { CHOICES } from '../../core/records/catalogue/choices';
import type { Act } from '../../core/template/acts';
import { minutesBetween, plusMinutes } from '../../core/work/wallClock';
import { ClientChoice } from '../forms/ClientChoice';
import { CustomFields } from '../forms/CustomFields';
import { Choice, Field } from '../forms/Field';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { KeyChoice } from '../forms/KeyChoice';
import { useRecordForm, type RecordFormProps } from '../forms/useRecordForm';
import { Clashes } from './Clashes';
import { lengthInWords } from './lengthInWords';
import { ServiceField } from './ServiceField';
import { PlaceFields } from './PlaceFields';
import { useFormClient } from './useFormClient';

interface Props extends RecordFormProps<'booking'> {
  choices: FormChoices;
  /** of the client that it is for */
  parts?: ClientParts;
}

/** A booking: for whom, what, when and by whom; what stands in its way is told at once. */
export function BookingForm({ owner, recordKey, facts, enquiry, choices, parts: given }: Props) {
  const { own, locale, itemLabel, words, members, ways } = choices;
  const isNew = recordKey === undefined;
  const kept = useRecordForm({
    kind: 'booking',
    owner,
    facts,
    own,
    shown: shownBooking,
    begunFrom: [facts.client, facts.project, enquiry, facts.starts_at].filter(Boolean).join(' '),
    act: (now) => actOf(facts, now, isNew),
    recordKey,
    enquiry,
  });
  const { form } = kept;
  const [starts, ends] = useWatch({ control: form.control, name: ['starts_at', 'ends_at'] }) as string[];
  const { parts, called, setCalled } = useFormClient(kept, given);
  useAddressOf(form, parts.address, isNew);
  useUsual(form, ways.services, own.currency);
  return (
    <KeptFormFrame kept={kept} button={isNew ? `Write the ${words.booking} down` : 'Keep'}>
      <section className="form-part" aria-labelledby="booking-what">
        <h2 id="booking-what">What and when</h2>
        <ClientChoice
          name="client"
          label="Client"
          called={called}
          fixed={!isNew}
          onChosen={(_, name) => {
            setCalled(name);
            form.setValue('project', '');
            form.setValue('items', []);
          }}
        />
        <ServiceField services={ways.services} />
        <Field name="starts_at" label="Begins" type="datetime-local" />
        <Field
          name="ends_at"
          label="Ends"
          type="datetime-local"
          help={lengthInWords(minutesBetween(starts ?? '', ends ?? ''), locale)}
        />
        <Choice name="member" label="Done by" options={[['', 'not said yet'], ...members]} />
        <Clashes own={own} booking={recordKey} />
        <Choice
          name="status"
          label="How it stands"
          options={CHOICES['booking.status'].map((one) => [one, one] as const)}
        />
      </section>
      <section className="form-part" aria-labelledby="booking-for">
        <h2 id="booking-for">For what</h2>
        <KeyChoice name="items" label={`${capital(itemLabel)}s`} options={parts.items} />
        {parts.projects.length > 0 && (
          <Choice name="project" label="Project" options={[['', 'none'], ...parts.projects]} />
        )}
        <Field name="price" label={`Price (${own.currency})`} inputMode="decimal" />
        <CustomFields record="booking" name="custom" own={own} />
        <Field name="notes" label="Notes" as="textarea" rows={3} help="Clients never see them." />
      </section>
      <section className="form-part" aria-labelledby="booking-where">
        <h2 id="booking-where">Where</h2>
        <PlaceFields locale={locale} client={parts} />
      </section>
    </KeptFormFrame>
  );
}

/** A new booking is at its client's address, as long as no other is written. */
function useAddressOf(form: UseFormReturn<FieldValues>, address: ClientParts['address'], isNew: boolean) {
  const [laid, setLaid] = useState(address);
  useEffect(() => {
    if (!isNew || !address || address === laid) return;
    const stands = JSON.stringify(form.getValues('location'));
    if (stands !== JSON.stringify(shownAddress(laid)) && stands !== JSON.stringify(shownAddress())) return;
    form.setValue('location', shownAddress(address));
    setLaid(address);
  }, [form, address, laid, isNew]);
}

const HOUR = 60;

/** A service brings its usual length and price; a booking that is moved keeps its length. */
function useUsual(form: UseFormReturn<FieldValues>, services: readonly ServiceFacts[], currency: string) {
  useEffect(() => {
    let before = form.getValues('starts_at') as string;
    let usual: ServiceFacts | undefined;
    // What hangs on the change that is being told is told after it.
    const set = (name: string, value: string) =>
      queueMicrotask(() => form.setValue(name, value, { shouldDirty: true, shouldValidate: value !== '' }));
    const { unsubscribe } = form.watch((values, { name }) => {
      const { service, starts_at, ends_at, price } = values as Record<string, string>;
      if (name === 'starts_at' && starts_at) {
        const length = minutesBetween(before, ends_at ?? '') ?? usual?.minutes ?? HOUR;
        before = starts_at;
        set('ends_at', plusMinutes(starts_at, Math.max(length, 1)));
      }
      if (name !== 'service') return;
      const typed = service?.trim().toLowerCase();
      const found = services.find((one) => one.name.toLowerCase() === typed);
      if (!found) return;
      if (found.minutes && starts_at) set('ends_at', plusMinutes(starts_at, found.minutes));
      // A price that was agreed stays.
      if (!price || price === shownSum(usual?.price, currency)) set('price', shownSum(found.price, currency));
      usual = found;
    });
    return unsubscribe;
  }, [form, services, currency]);
}

/** The act of the work that a change was; other changes are none. */
function actOf(before: BookingFacts, now: BookingFacts, isNew: boolean): Act | undefined {
  if (isNew) return now.status === 'tentative' || now.status === 'confirmed' ? 'visit confirmed' : undefined;
  if (before.status !== now.status) {
    if (now.status === 'cancelled') return 'visit cancelled';
    if (now.status === 'done') return 'visit done';
    if (now.status === 'confirmed') return 'visit confirmed';
  }
  return before.starts_at === now.starts_at ? undefined : 'visit moved';
}
