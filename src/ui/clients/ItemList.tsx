'use client';

import { useFieldArray, useFormContext } from 'react-hook-form';
import type { OwnFields } from '../../core/contract/records/customFacts';
import { shownItem } from '../../core/contract/records/shownClient';
import { capital } from '../../core/describe/capital';
import { withArticle } from '../../core/fill/formats/article';
import { CustomFields } from '../forms/CustomFields';
import { Field } from '../forms/Field';
import { LabelledGroup } from '../forms/Labelled';
import { useRemoving } from '../forms/useRemoving';

interface Props {
  /** what the business calls one: "instrument" */
  label: string;
  own: OwnFields;
}

/** The things of a client that the service is done to. */
export function ItemList({ label, own }: Props) {
  const { control } = useFormContext();
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'items' });
  const { note, removing } = useRemoving('items', remove, insert);
  return (
    <section className="form-part" aria-labelledby="client-items">
      <h2 id="client-items">{capital(label)}s</h2>
      <LabelledGroup name="items" label="">
        {fields.map(({ id }, i) => (
          <fieldset key={id} className="form-piece">
            <legend className="visually-hidden">
              {capital(label)} {i + 1}
            </legend>
            <div className="address-fields">
              <Field name={`items.${i}.name`} label="Called" />
              <Field name={`items.${i}.kind`} label="What sort" />
            </div>
            <CustomFields record="item" name={`items.${i}.custom`} own={own} />
            <Field name={`items.${i}.notes`} label="Notes" as="textarea" rows={2} />
            <button type="button" className="btn btn-link" onClick={() => removing(i, `The ${label}`)}>
              Take this {label} out
            </button>
          </fieldset>
        ))}
      </LabelledGroup>
      {note}
      <button type="button" className="btn btn-outline-primary" onClick={() => append(shownItem({}, own))}>
        Add {withArticle(label)}
      </button>
    </section>
  );
}
