'use client';

import type { OwnFields } from '../../core/contract/records/customFacts';
import { capital } from '../../core/describe/capital';
import type { CustomFieldData } from '../../core/records/recordsFile';
import { Choice, Field } from './Field';
import { LabelledGroup } from './Labelled';

interface Props {
  /** the kind of record they are on */
  record: string;
  /** the path of them all in the form */
  name: string;
  own: OwnFields;
}

/** The facts that the business keeps of its own, each by a control of its type. */
export function CustomFields({ record, name, own }: Props) {
  const fields = own.fields.filter((field) => field.record === record);
  if (fields.length === 0) return null;
  return (
    <LabelledGroup name={name} label="">
      <div className="address-fields">
        {fields.map((field) => (
          <CustomField key={field.key} name={`${name}.${field.key}`} field={field} />
        ))}
      </div>
    </LabelledGroup>
  );
}

function CustomField({
  name,
  field: { label, type, choices = [], help },
}: {
  name: string;
  field: CustomFieldData;
}) {
  const said = { name, label: capital(label), ...(help ? { help } : {}) };
  switch (type) {
    case 'yes/no':
      return <Choice {...said} options={[NOT_SAID, ['yes', 'yes'], ['no', 'no']]} />;
    case 'choice':
      return <Choice {...said} options={[NOT_SAID, ...choices.map((one) => [one, one] as const)]} />;
    case 'long text':
      return <Field {...said} as="textarea" rows={3} />;
    case 'date':
      return <Field {...said} type="date" />;
    case 'moment':
      return <Field {...said} type="datetime-local" />;
    case 'number':
    case 'money':
      return <Field {...said} inputMode="decimal" />;
    default:
      return <Field {...said} />;
  }
}

const NOT_SAID = ['', 'not said'] as const;
