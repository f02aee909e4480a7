'use client';

import { useRouter } from 'next/navigation';
import { useMemo, type ReactNode } from 'react';
import { clientFacts, type ClientFacts } from '../../core/contract/records/client';
import type { OwnFields } from '../../core/contract/records/customFacts';
import { shownClient } from '../../core/contract/records/shownClient';
import { CHOICES } from '../../core/records/catalogue/choices';
import { AddressFields } from '../forms/AddressFields';
import { Choice, Field } from '../forms/Field';
import { CustomFields } from '../forms/CustomFields';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { useKeptForm } from '../forms/useKeptForm';
import { ClientName } from './ClientName';
import { ContactList } from './ContactList';
import { ItemList } from './ItemList';
import { LikelyDoubles } from './LikelyDoubles';

interface Props {
  /** whose what is typed is, on this device */
  owner: string;
  /** absent: a new one */
  clientKey?: string;
  facts: ClientFacts;
  /** of the business */
  locale: string;
  /** what the business calls a thing that it works on */
  itemLabel: string;
  /** the members by their keys */
  members: readonly (readonly [key: string, name: string])[];
  /** the facts that the business keeps of its own */
  own: OwnFields;
  children?: ReactNode;
}

/** What is known of a client, with their people and things. */
export function ClientForm({ owner, clientKey, facts, locale, itemLabel, members, own, children }: Props) {
  const router = useRouter();
  const kept = useKeptForm<ClientFacts>({
    place: `${owner} client ${clientKey ?? 'new'}`,
    schema: useMemo(() => clientFacts(own), [own]),
    facts,
    shown: (known) => shownClient(known, own),
    path: `/api/clients/${clientKey === undefined ? 'new' : encodeURIComponent(clientKey)}`,
    method: clientKey === undefined ? 'POST' : 'PUT',
    onKept: (_, key = clientKey) => {
      router.push(`/clients/${encodeURIComponent(key!)}`);
      router.refresh();
    },
  });
  return (
    <KeptFormFrame
      kept={kept}
      button={clientKey === undefined ? 'Write the client down' : 'Keep'}
      beside={children}
    >
      <section className="form-part" aria-labelledby="client-who">
        <h2 id="client-who">Who</h2>
        <Choice
          name="kind"
          label="What sort of client"
          options={CHOICES['client.kind'].map((kind) => [kind, kind])}
        />
        <ClientName locale={locale} isNew={clientKey === undefined} />
        <Field name="email" label="Email address" type="email" autoComplete="off" />
        <Field name="phone" label="Telephone" type="tel" autoComplete="off" />
        <Field name="mobile" label="Mobile" type="tel" autoComplete="off" help="For text messages." />
        <LikelyDoubles clientKey={clientKey} />
      </section>
      <section className="form-part" aria-labelledby="client-where">
        <h2 id="client-where">Where</h2>
        <AddressFields name="address" label="Address" locale={locale} />
        <details className="form-more">
          <summary>Invoices go to another address</summary>
          <AddressFields name="billing_address" label="Address of invoices" locale={locale} />
        </details>
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
        <Field name="notes" label="Notes" as="textarea" rows={4} help="Clients never see them." />
        <CustomFields record="client" name="custom" own={own} />
      </section>
    </KeptFormFrame>
  );
}
