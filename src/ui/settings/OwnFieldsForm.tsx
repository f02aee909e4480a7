'use client';

import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import {
  OWN_FIELD_RECORDS,
  OWN_FIELDS,
  shownOwnField,
  shownOwnFields,
  type OwnFieldsFacts,
} from '../../core/contract/records/ownFields';
import { capital } from '../../core/describe/capital';
import { CHOICES } from '../../core/records/catalogue/choices';
import { Choice, Field } from '../forms/Field';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { LabelledGroup } from '../forms/Labelled';
import { saidInWords } from '../forms/said';
import { useKeptForm } from '../forms/useKeptForm';
import { useRemoving } from '../forms/useRemoving';

interface Props {
  /** whose what is typed is, on this device */
  owner: string;
  facts: OwnFieldsFacts;
  /** in how many templates each fact is said */
  said: Readonly<Record<string, number>>;
  /** what the business calls an item and a booking */
  words: { item: string; booking: string };
}

/** The fields that a business keeps of its own, on every kind of record. */
export function OwnFieldsForm({ owner, facts, said, words }: Props) {
  const kept = useKeptForm<OwnFieldsFacts>({
    place: `${owner} own fields`,
    schema: OWN_FIELDS as never,
    facts,
    shown: shownOwnFields,
    path: '/api/business/fields',
  });
  return (
    <KeptFormFrame kept={kept}>
      <FieldList said={said} words={words} />
    </KeptFormFrame>
  );
}

function FieldList({ said, words }: Pick<Props, 'said' | 'words'>) {
  const { control } = useFormContext();
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'fields', keyName: 'at' });
  const { note, removing } = useRemoving('fields', remove, insert);
  return (
    <section className="form-part" aria-label="Custom fields">
      <LabelledGroup name="fields" label="">
        {fields.map(({ at }, i) => (
          <OneField key={at} name={`fields.${i}`} at={i} said={said} words={words} onRemove={removing} />
        ))}
      </LabelledGroup>
      {note}
      <button type="button" className="btn btn-outline-primary" onClick={() => append(shownOwnField({}))}>
        Add a field
      </button>
    </section>
  );
}

interface OneProps extends Pick<Props, 'said' | 'words'> {
  name: string;
  at: number;
  onRemove: (at: number, called: string) => void;
}

function OneField({ name, at, said, words, onRemove }: OneProps) {
  const { control } = useFormContext();
  const [key, record, type, label] = useWatch({
    control,
    name: [`${name}.key`, `${name}.record`, `${name}.type`, `${name}.label`],
  }) as string[];
  const uses = said[`${record}.custom.${key}`] ?? 0;
  const called = { item: words.item, booking: words.booking, business: 'the business itself' } as Record<
    string,
    string
  >;
  return (
    <fieldset className="form-piece">
      <legend className="visually-hidden">Field {at + 1}</legend>
      <div className="line-fields">
        <Field name={`${name}.label`} label="Called" />
        {key ? (
          <p className="form-field">Of each {called[record!] ?? record}</p>
        ) : (
          <Choice
            name={`${name}.record`}
            label="Of each"
            options={OWN_FIELD_RECORDS.map((one) => [one, called[one] ?? one])}
          />
        )}
        <Choice
          name={`${name}.type`}
          label="Kind of fact"
          options={CHOICES['custom_field.type'].map((one) => [one, one])}
        />
      </div>
      {type === 'choice' && (
        <Field name={`${name}.choices`} label="What can be chosen, one a line" as="textarea" rows={4} />
      )}
      <Field name={`${name}.help`} label="What helps to write it" />
      {uses > 0 && <p className="field-help">{saidInWords(uses)}</p>}
      <button
        type="button"
        className="btn btn-link"
        onClick={() => onRemove(at, label ? `“${capital(label)}”` : 'The field')}
      >
        Take this field out
      </button>
    </fieldset>
  );
}
