import { ownerKey } from '../core/contract/ownerKey';
import type { ReactNode } from 'react';
import { notFound } from 'next/navigation';
import type { ClientParts, FormChoices } from '../core/contract/records/formChoices';
import type { FactsOf } from '../core/contract/records/recordForms';
import type { FormKind } from '../core/contract/records/formKinds';
import { withArticle } from '../core/fill/formats/article';
import { beginRecord, type BegunFrom } from '../server/records/beginRecord';
import { clientParts } from '../server/records/clientParts';
import { formChoices } from '../server/records/formChoices';
import { recordFacts } from '../server/records/keepRecord';
import { recordPath } from '../ui/records/recordPath';
import { SettingsPaper } from '../ui/settings/SettingsPaper';
import { BookingForm } from '../ui/work/BookingForm';
import { ClientForm } from '../ui/clients/ClientForm';
import { EnquiryForm } from '../ui/work/EnquiryForm';
import { InvoiceForm } from '../ui/work/InvoiceForm';
import { PartnerForm } from '../ui/work/PartnerForm';
import { ProjectForm } from '../ui/work/ProjectForm';
import { requireMember } from './session';

interface FormProps<Kind extends FormKind> {
  owner: string;
  recordKey?: string;
  facts: FactsOf[Kind];
  enquiry?: string;
  choices: FormChoices;
  parts?: ClientParts;
}

const FORMS: { [Kind in FormKind]: (props: FormProps<Kind>) => ReactNode } = {
  client: ClientForm,
  enquiry: EnquiryForm,
  project: ProjectForm,
  booking: BookingForm,
  invoice: InvoiceForm,
  partner: PartnerForm,
};

const NEW_NOTES: Readonly<Record<FormKind, string>> = {
  client: 'A name is enough to begin with.',
  enquiry: 'Who asks, for what, and for when.',
  project: 'A client and a title are enough to begin with.',
  booking: 'What stands in its way is told while you choose.',
  invoice: 'It is a draft until you issue it; then it gets its number.',
  partner: 'Suppliers, subcontractors, agents: letters can be written to them.',
};

/** The page on which a new record of a kind is written down. */
export async function NewRecord({
  kind,
  from = {},
  back,
}: {
  kind: FormKind;
  from?: BegunFrom;
  back: { href: string; words: string };
}) {
  const member = await requireMember();
  const choices = await formChoices(member);
  const { enquiry, ...begun } = await beginRecord(member, kind, from, choices);
  const Form = FORMS[kind] as (props: FormProps<FormKind>) => ReactNode;
  const beginning = JSON.stringify(from);
  return (
    <SettingsPaper title={titleOfNew(kind, member.words.booking)} note={NEW_NOTES[kind]} back={back}>
      <Form
        key={beginning}
        owner={ownerKey(member.business_id, member.key)}
        choices={choices}
        {...begun}
        {...(enquiry === undefined ? {} : { enquiry })}
      />
    </SettingsPaper>
  );
}

/** "A new visit" */
export function titleOfNew(kind: FormKind, booking: string): string {
  return withArticle(`new ${kind === 'booking' ? booking : kind}`).replace(/^a/, 'A');
}

/** The page on which a record is changed. */
export async function ChangeRecord({ kind, recordKey }: { kind: FormKind; recordKey: string }) {
  const member = await requireMember();
  const facts = await recordFacts(member, kind, recordKey);
  if (!facts) notFound();
  const client = 'client' in facts ? facts.client : undefined;
  const parts = client ? await clientParts(member, client) : undefined;
  const Form = FORMS[kind] as (props: FormProps<FormKind>) => ReactNode;
  return (
    <SettingsPaper
      title={titleOf(kind, facts, parts?.name)}
      note="A change holds for all letters to come; those that were sent stay as they are."
      back={
        kind === 'partner'
          ? { href: '/work/partners', words: 'Partners' }
          : { href: recordPath({ kind, key: recordKey }), words: 'Back' }
      }
    >
      <Form
        key={recordKey}
        owner={ownerKey(member.business_id, member.key)}
        recordKey={recordKey}
        facts={facts}
        choices={await formChoices(member)}
        {...(parts ? { parts } : {})}
      />
    </SettingsPaper>
  );
}

/** "Tuning visit for Oda Hartigan" */
function titleOf(kind: FormKind, facts: FactsOf[FormKind], client: string | undefined): string {
  const { name, title, service } = facts as { name?: string; title?: string; service?: string };
  const own = (kind === 'invoice' ? 'Invoice' : (title ?? service ?? name)) ?? 'Enquiry';
  return client === undefined ? own : `${own} for ${client}`;
}
