'use client';

import type { FormChoices } from '../../core/contract/records/formChoices';
import { shownPartner } from '../../core/contract/records/partner';
import { AddressFields } from '../forms/AddressFields';
import { CustomFields } from '../forms/CustomFields';
import { Field } from '../forms/Field';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { RemoveRecord } from '../records/RemoveRecord';
import { useRecordForm, type RecordFormProps } from '../forms/useRecordForm';

interface Props extends RecordFormProps<'partner'> {
  choices: FormChoices;
}

/** An outside supplier, subcontractor or agent. */
export function PartnerForm({ owner, recordKey, facts, choices: { own, locale } }: Props) {
  const isNew = recordKey === undefined;
  const kept = useRecordForm({
    kind: 'partner',
    owner,
    facts,
    own,
    shown: shownPartner,
    recordKey,
  });
  return (
    <>
      <KeptFormFrame kept={kept} button={isNew ? 'Write the partner down' : 'Keep'}>
        <section className="form-part" aria-label="Who">
          <Field name="name" label="Name" help="Of the firm, or of the person." autoComplete="off" />
          <Field name="trade" label="What they do" help="As “piano moving”." />
          <Field name="given_name" label="Given name of your person there" help="Letters greet them by it." />
          <Field name="family_name" label="Family name" />
          <Field name="email" label="Email address" type="email" autoComplete="off" />
          <Field name="phone" label="Telephone" type="tel" autoComplete="off" />
          <AddressFields name="address" label="Address" locale={locale} />
          <CustomFields record="partner" name="custom" own={own} />
        </section>
      </KeptFormFrame>
      {recordKey !== undefined && (
        <RemoveRecord
          kind="partner"
          recordKey={recordKey}
          version={kept.version}
          name={facts.name}
          along=""
          list="/work/partners"
        />
      )}
    </>
  );
}
