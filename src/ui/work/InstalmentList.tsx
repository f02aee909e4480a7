'use client';

import { useFieldArray, useFormContext } from 'react-hook-form';
import type { OwnFields } from '../../core/contract/records/customFacts';
import { shownInstalment } from '../../core/contract/records/invoice';
import type { PlanFacts } from '../../core/contract/records/workWays';
import { layPlan } from '../../core/work/layPlan';
import { Field } from '../forms/Field';
import { LabelledGroup } from '../forms/Labelled';
import { useRemoving } from '../forms/useRemoving';
import { typedTotal, type TypedLine } from './typedTotal';

interface Props {
  own: OwnFields;
  plans: readonly PlanFacts[];
  /** ISO date: when it is issued, where no other day is written */
  today: string;
}

/** The parts in which an invoice is paid: by hand, or a usual plan laid over it. */
export function InstalmentList({ own, plans, today }: Props) {
  const { control, getValues, setError, clearErrors } = useFormContext();
  const { fields, append, remove, insert, replace } = useFieldArray({ control, name: 'instalments' });
  const { note, removing } = useRemoving('instalments', remove, insert);

  function lay({ parts }: PlanFacts) {
    const { lines, issued_on } = getValues() as { lines: TypedLine[]; issued_on: string };
    const sums = typedTotal(lines, own.currency);
    if (!sums || sums.amount <= 0)
      return setError('instalments', {
        message: 'Write what it is for first: a plan parts what it comes to.',
      });
    clearErrors('instalments');
    const issued = issued_on || today;
    replace(layPlan(parts, sums.amount, issued).map((part) => shownInstalment(part, own)));
  }

  return (
    <section className="form-part" aria-labelledby="invoice-parts">
      <h2 id="invoice-parts">Paid in parts</h2>
      <LabelledGroup name="instalments" label="">
        {fields.map(({ id }, i) => (
          <fieldset key={id} className="form-piece">
            <legend className="visually-hidden">Part {i + 1}</legend>
            <div className="line-fields">
              <Field name={`instalments.${i}.due_on`} label="Due on" type="date" />
              <Field
                name={`instalments.${i}.amount`}
                label={`Amount (${own.currency})`}
                inputMode="decimal"
              />
            </div>
            <button type="button" className="btn btn-link" onClick={() => removing(i, 'The part')}>
              Take this part out
            </button>
          </fieldset>
        ))}
      </LabelledGroup>
      {note}
      <div className="foot-line">
        <button
          type="button"
          className="btn btn-outline-primary"
          onClick={() => append(shownInstalment({}, own))}
        >
          Add a part
        </button>
        {plans.map((plan) => (
          <button key={plan.id} type="button" className="btn btn-link" onClick={() => lay(plan)}>
            Lay “{plan.name}” over it
          </button>
        ))}
      </div>
    </section>
  );
}
