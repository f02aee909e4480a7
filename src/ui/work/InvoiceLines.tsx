'use client';

import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import type { OwnFields } from '../../core/contract/records/customFacts';
import { shownLine } from '../../core/contract/records/invoice';
import { shownSum } from '../../core/contract/records/parts';
import { Field } from '../forms/Field';
import { LabelledGroup } from '../forms/Labelled';
import { useRemoving } from '../forms/useRemoving';
import { typedTotal, type TypedLine } from './typedTotal';

interface Props {
  own: OwnFields;
  locale: string;
  /** percent: what a new line has */
  taxRate: string;
  /** it was issued: they stay */
  fixed: boolean;
}

/** What an invoice is for, with what it comes to. */
export function InvoiceLines({ own, locale, taxRate, fixed }: Props) {
  const { control } = useFormContext();
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'lines' });
  const { note, removing } = useRemoving('lines', remove, insert);
  const lines = useWatch({ control, name: 'lines' }) as TypedLine[];
  const sums = typedTotal(lines, own.currency);
  const written = new Intl.NumberFormat(locale, { style: 'currency', currency: own.currency });
  // A decimal in text is written exactly.
  const money = (amount: number) => written.format(shownSum(amount, own.currency) as `${number}`);
  return (
    <section className="form-part" aria-labelledby="invoice-lines">
      <h2 id="invoice-lines">For what</h2>
      <LabelledGroup name="lines" label="">
        {fields.map(({ id }, i) => (
          <fieldset key={id} className="form-piece" disabled={fixed}>
            <legend className="visually-hidden">Line {i + 1}</legend>
            <Field name={`lines.${i}.description`} label="What" />
            <div className="line-fields">
              <Field name={`lines.${i}.quantity`} label="How many" inputMode="decimal" placeholder="1" />
              <Field
                name={`lines.${i}.unit_price`}
                label={`One costs (${own.currency})`}
                inputMode="decimal"
              />
              <Field name={`lines.${i}.tax_rate`} label="Tax, percent" inputMode="decimal" placeholder="0" />
              <Field
                name={`lines.${i}.discount`}
                label="Discount, percent"
                inputMode="decimal"
                placeholder="0"
              />
            </div>
            {!fixed && (
              <button type="button" className="btn btn-link" onClick={() => removing(i, 'The line')}>
                Take this line out
              </button>
            )}
          </fieldset>
        ))}
      </LabelledGroup>
      {note}
      {!fixed && (
        <button
          type="button"
          className="btn btn-outline-primary"
          onClick={() => append(shownLine({ tax_rate: taxRate === '0' ? '' : taxRate }, own))}
        >
          Add a line
        </button>
      )}
      <p className="invoice-total" role="status">
        {sums
          ? `${money(sums.net)} and ${money(sums.tax)} tax: ${money(sums.amount)} in all.`
          : 'What it comes to shows when each line has its sum.'}
      </p>
    </section>
  );
}
