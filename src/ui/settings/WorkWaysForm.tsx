'use client';

import { useMemo } from 'react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import {
  invoiceNumber,
  shownService,
  shownWorkWays,
  workWaysFacts,
  type WorkWays,
} from '../../core/contract/records/workWays';
import { Field } from '../forms/Field';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { LabelledGroup } from '../forms/Labelled';
import { useKeptForm } from '../forms/useKeptForm';
import { useRemoving } from '../forms/useRemoving';
import { newId } from '../shell/newId';

interface Props {
  /** whose what is typed is, on this device */
  owner: string;
  ways: WorkWays;
  currency: string;
}

/** How work is done: services with their length and price, the way from one to the next, numbers of invoices, payment plans. */
export function WorkWaysForm({ owner, ways, currency }: Props) {
  const kept = useKeptForm<WorkWays>({
    place: `${owner} work`,
    schema: useMemo(() => workWaysFacts(currency), [currency]) as never,
    facts: ways,
    shown: (known) => shownWorkWays(known, currency),
    path: '/api/business/work',
  });
  return (
    <KeptFormFrame kept={kept}>
      <Services currency={currency} />
      <section className="form-part" aria-labelledby="work-way">
        <h2 id="work-way">Visits</h2>
        <Field name="day_from" label="The day begins at" help="As 08:00." />
        <Field
          name="day_until"
          label="and ends at"
          help="As 18:00. Whether a day has room for another visit is told by these hours; the calendar shows them."
        />
        <Field
          name="travel_minutes"
          label="Minutes from one client to the next"
          inputMode="numeric"
          help="Where less is left between two, you are told."
        />
      </section>
      <section className="form-part" aria-labelledby="work-invoices">
        <h2 id="work-invoices">Invoices</h2>
        <Field name="invoice_prefix" label="Numbers begin with" help="As “2026-”. It may be empty." />
        <Field name="invoice_next" label="Number of the next one" inputMode="numeric" />
        <Field name="invoice_digits" label="With so many figures" inputMode="numeric" />
        <NextNumber />
        <Field name="days_to_pay" label="Days to pay" inputMode="numeric" />
        <Field name="tax_rate" label="Usual tax, percent" inputMode="decimal" help="What a new line has." />
      </section>
      <Plans />
    </KeptFormFrame>
  );
}

function NextNumber() {
  const { control } = useFormContext();
  const [prefix, next, digits] = useWatch({
    control,
    name: ['invoice_prefix', 'invoice_next', 'invoice_digits'],
  }) as [string, string | number, string | number];
  const figures = Number(digits);
  return (
    <p className="field-help" role="status">
      {Number(next) > 0 && figures > 0 && figures < 10
        ? `The next one is ${invoiceNumber(prefix, Number(next), figures)}.`
        : ''}
    </p>
  );
}

function Services({ currency }: { currency: string }) {
  const { control } = useFormContext();
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'services', keyName: 'at' });
  const { note, removing } = useRemoving('services', remove, insert);
  return (
    <section className="form-part" aria-labelledby="work-services">
      <h2 id="work-services">Services</h2>
      <LabelledGroup name="services" label="">
        {fields.map(({ at }, i) => (
          <fieldset key={at} className="form-piece">
            <legend className="visually-hidden">Service {i + 1}</legend>
            <div className="line-fields service-fields">
              <Field name={`services.${i}.name`} label="Called" />
              <Field name={`services.${i}.minutes`} label="Minutes" inputMode="numeric" />
              <Field name={`services.${i}.price`} label={`Price (${currency})`} inputMode="decimal" />
              <button
                type="button"
                className="btn btn-link"
                aria-label={`Take service ${i + 1} out`}
                onClick={() => removing(i, 'The service')}
              >
                Take out
              </button>
            </div>
          </fieldset>
        ))}
      </LabelledGroup>
      {note}
      <button
        type="button"
        className="btn btn-outline-primary"
        onClick={() => append(shownService({ id: newId() }, currency))}
      >
        Add a service
      </button>
    </section>
  );
}

function Plans() {
  const { control } = useFormContext();
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'plans', keyName: 'at' });
  const { note, removing } = useRemoving('plans', remove, insert);
  return (
    <section className="form-part" aria-labelledby="work-plans">
      <h2 id="work-plans">Payment plans</h2>
      <LabelledGroup
        name="plans"
        label=""
        help="A usual way in which an invoice is paid in parts; it is laid over one by a press."
      >
        {fields.map(({ at }, i) => (
          <fieldset key={at} className="form-piece">
            <legend className="visually-hidden">Plan {i + 1}</legend>
            <Field name={`plans.${i}.name`} label="Called" />
            <PlanParts name={`plans.${i}.parts`} />
            <button type="button" className="btn btn-link" onClick={() => removing(i, 'The plan')}>
              Take this plan out
            </button>
          </fieldset>
        ))}
      </LabelledGroup>
      {note}
      <button
        type="button"
        className="btn btn-outline-primary"
        onClick={() =>
          append({
            id: newId(),
            name: '',
            parts: [
              { share: 50, days: 14 },
              { share: 50, days: 44 },
            ],
          })
        }
      >
        Add a plan
      </button>
    </section>
  );
}

function PlanParts({ name }: { name: string }) {
  const { control } = useFormContext();
  const { fields, append, remove } = useFieldArray({ control, name, keyName: 'at' });
  return (
    <LabelledGroup name={name} label="">
      {fields.map(({ at }, i) => (
        <div key={at} className="line-fields">
          <Field name={`${name}.${i}.share`} label="Percent" inputMode="numeric" />
          <Field name={`${name}.${i}.days`} label="Days after it is issued" inputMode="numeric" />
          <button
            type="button"
            className="btn btn-link"
            aria-label={`Take part ${i + 1} out`}
            onClick={() => remove(i)}
          >
            Take out
          </button>
        </div>
      ))}
      <button type="button" className="btn btn-link" onClick={() => append({ share: '', days: '' })}>
        Add a part
      </button>
    </LabelledGroup>
  );
}
