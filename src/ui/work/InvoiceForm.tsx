'use client';

import type { ClientParts, FormChoices } from '../../core/contract/records/formChoices';
import { shownInvoice } from '../../core/contract/records/invoice';
import { shownAddress } from '../../core/contract/records/shownAddress';
import { AddressFields } from '../forms/AddressFields';
import { ClientChoice } from '../forms/ClientChoice';
import { CustomFields } from '../forms/CustomFields';
import { Choice, Field } from '../forms/Field';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { useRecordForm, type RecordFormProps } from '../forms/useRecordForm';
import { InstalmentList } from './InstalmentList';
import { InvoiceLines } from './InvoiceLines';
import { useFormClient } from './useFormClient';

interface Props extends RecordFormProps<'invoice'> {
  choices: FormChoices;
  parts?: ClientParts;
}

/** An invoice: its lines with what they come to as they are written, its days, and the parts in which it is paid. */
export function InvoiceForm({ owner, recordKey, facts, choices, parts: given }: Props) {
  const { own, locale, ways, today } = choices;
  const isNew = recordKey === undefined;
  const isDraft = facts.status === 'draft';
  const kept = useRecordForm({
    kind: 'invoice',
    owner,
    facts,
    own,
    shown: shownInvoice,
    begunFrom: [facts.client, facts.project, facts.lines[0]?.description].filter(Boolean).join(' '),
    recordKey,
  });
  const { parts, called, setCalled } = useFormClient(kept, given);
  return (
    <KeptFormFrame kept={kept} button={isNew ? 'Keep as a draft' : 'Keep'}>
      <section className="form-part" aria-labelledby="invoice-whom">
        <h2 id="invoice-whom">For whom</h2>
        <ClientChoice
          name="client"
          label="Client"
          called={called}
          fixed={!isNew}
          onChosen={(_, name) => {
            setCalled(name);
            kept.form.setValue('project', '');
            kept.form.setValue('bill_to', shownAddress());
          }}
        />
        {parts.projects.length > 0 && (
          <Choice name="project" label="Project" options={[['', 'none'], ...parts.projects]} />
        )}
        <AddressFields name="bill_to" label="Address of the invoice" locale={locale} />
        {parts.billing && (
          <button
            type="button"
            className="btn btn-link"
            onClick={() => kept.form.setValue('bill_to', shownAddress(parts.billing), { shouldDirty: true })}
          >
            Take the client’s address
          </button>
        )}
      </section>
      <InvoiceLines own={own} locale={locale} taxRate={ways.tax_rate} fixed={!isDraft} />
      <section className="form-part" aria-labelledby="invoice-when">
        <h2 id="invoice-when">When</h2>
        {isDraft ? (
          <Field
            name="issued_on"
            label="Issued on"
            type="date"
            help="Left empty: the day on which you issue it."
          />
        ) : (
          <p className="form-field">Issued on {facts.issued_on}. Its lines and this day stay as they are.</p>
        )}
        <Field
          name="due_on"
          label="Due on"
          type="date"
          help={isDraft ? `Left empty: ${ways.days_to_pay} days after it is issued.` : ''}
        />
      </section>
      <InstalmentList own={own} plans={ways.plans} today={today} />
      <section className="form-part" aria-labelledby="invoice-more">
        <h2 id="invoice-more">More</h2>
        <Field name="pay_link" label="Where it can be paid online" type="url" placeholder="https://" />
        <CustomFields record="invoice" name="custom" own={own} />
        <Field name="notes" label="Notes" as="textarea" rows={3} help="Clients never see them." />
      </section>
    </KeptFormFrame>
  );
}
