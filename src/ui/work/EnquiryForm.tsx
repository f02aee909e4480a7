'use client';

import { useWatch } from 'react-hook-form';
import { shownEnquiry, type EnquiryFacts } from '../../core/contract/records/enquiry';
import type { ClientParts, FormChoices } from '../../core/contract/records/formChoices';
import { CHOICES } from '../../core/records/catalogue/choices';
import { ClientChoice } from '../forms/ClientChoice';
import { DayList } from '../forms/DayList';
import { Choice, Field } from '../forms/Field';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { useRecordForm, type RecordFormProps } from '../forms/useRecordForm';
import { FreeDays } from './FreeDays';
import { ServiceField } from './ServiceField';
import { useFormClient } from './useFormClient';

interface Props extends RecordFormProps<'enquiry'> {
  choices: FormChoices;
  parts?: ClientParts;
}

/** Somebody asked: who, for what, for which days, and whether these are free. */
export function EnquiryForm({ owner, recordKey, facts, choices, parts: given }: Props) {
  const { own, locale, ways } = choices;
  const isNew = recordKey === undefined;
  const kept = useRecordForm<'enquiry'>({
    kind: 'enquiry',
    owner,
    facts,
    own,
    shown: shownEnquiry,
    begunFrom: facts.client ?? '',
    act: (now: EnquiryFacts) => (isNew && now.status === 'waiting' ? 'enquiry answered' : undefined),
    recordKey,
  });
  const [days, service] = useWatch({ control: kept.form.control, name: ['wanted_on', 'service'] }) as [
    string[],
    string,
  ];
  const { client, called, setCalled } = useFormClient(kept, given);
  return (
    <KeptFormFrame kept={kept} button={isNew ? 'Write the enquiry down' : 'Keep'}>
      <section className="form-part" aria-labelledby="enquiry-who">
        <h2 id="enquiry-who">Who asks</h2>
        <ClientChoice
          name="client"
          label="A client"
          help="Where it is nobody you know yet, write the name below."
          called={called}
          onChosen={(_, name) => setCalled(name)}
        />
        {!client && (
          <>
            <Field name="name" label="Name" autoComplete="off" />
            <Field name="email" label="Email address" type="email" autoComplete="off" />
            <Field name="phone" label="Telephone" type="tel" autoComplete="off" />
          </>
        )}
        <Field name="via" label="How they asked" help="As “telephone”, “the form on our site”." />
        <Field name="received_at" label="When they asked" type="datetime-local" />
      </section>
      <section className="form-part" aria-labelledby="enquiry-what">
        <h2 id="enquiry-what">For what</h2>
        <ServiceField services={ways.services} label="What they want done" />
        <DayList name="wanted_on" label="Days they asked for" locale={locale} />
        <FreeDays days={days} service={service} />
        <Field name="message" label="In their words" as="textarea" rows={4} />
        <Choice
          name="status"
          label="How it stands"
          options={CHOICES['enquiry.status'].map((one) => [one, one] as const)}
        />
      </section>
    </KeptFormFrame>
  );
}
