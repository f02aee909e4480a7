'use client';

import type { FormChoices } from '../../core/contract/records/formChoices';
import { shownClient } from '../../core/contract/records/shownClient';
import { CHOICES } from '../../core/records/catalogue/choices';
import { AddressFields } from '../forms/AddressFields';
import { Choice, Field } from '../forms/Field';
import { CustomFields } from '../forms/CustomFields';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { useRecordForm, type RecordFormProps } from '../forms/useRecordForm';
import { ClientName } from './ClientName';
import { ContactList } from './ContactList';
import { ItemList } from './ItemList';
import { LikelyDoubles } from './LikelyDoubles';
import { MoreAddresses, MorePhones } from './MoreWays';

interface Props extends RecordFormProps<'client'> {
  choices: FormChoices;
}

/** What is known of a client, with their people and things. */
export function ClientForm({ owner, recordKey, facts, enquiry, choices }: Props) {
  const { locale, itemLabel, members, own } = choices;
  const isNew = recordKey === undefined;
  const kept = useRecordForm({
    kind: 'client',
    owner,
    facts,
    own,
    shown: shownClient,
    recordKey,
    enquiry,
    begunFrom: enquiry ?? '',
  });
  return (
    <KeptFormFrame kept={kept} button={isNew ? 'Write the client down' : 'Keep'}>
      <section className="form-part" aria-labelledby="client-who">
        <h2 id="client-who">Who</h2>
        <Choice
          name="kind"
          label="What sort of client"
          options={CHOICES['client.kind'].map((kind) => [kind, kind])}
        />
        <ClientName locale={locale} isNew={isNew} />
        <Field name="email" label="Email address" type="email" autoComplete="off" />
        <Field name="phone" label="Telephone" type="tel" autoComplete="off" />
        <Field name="mobile" label="Mobile" type="tel" autoComplete="off" help="For text messages." />
        <MorePhones />
        <LikelyDoubles clientKey={recordKey} />
      </section>
      <section className="form-part" aria-labelledby="client-where">
        <h2 id="client-where">Where</h2>
        <AddressFields name="address" label="Address" locale={locale} />
        <details className="form-more">
          <summary>Invoices go to another address</summary>
          <AddressFields name="billing_address" label="Address of invoices" locale={locale} />
        </details>
        <MoreAddresses locale={locale} />
      </section>
      <ContactList />
      <ItemList label={itemLabel} own={own} />
      <section className="form-part" aria-labelledby="client-more">
        <h2 id="client-more">For the team</h2>
        <Choice
          name="responsible"
          label="Looked after by"
          options={[['', 'nobody in particular'], ...members]}
        />
        <Field name="tags" label="Tags" help="Words that clients are sorted by, with commas between." />
        <Field name="since" label="Client since" type="date" />
        <Field name="source" label="How they found you" />
        <Field name="language" label="Language of their letters" help="Where it is not yours, as de." />
        <Field
          name="no_letters_since"
          label="Asked for no letters on"
          type="date"
          help="From then on none is sent to them; the proof stops it."
        />
        <Field name="notes" label="Notes" as="textarea" rows={4} help="Clients never see them." />
        <CustomFields record="client" name="custom" own={own} />
      </section>
    </KeptFormFrame>
  );
}
