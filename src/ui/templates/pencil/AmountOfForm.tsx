'use client';

import { useId } from 'react';
import Form from 'react-bootstrap/Form';
import { UNITS, type Step, type Unit } from '../../../core/document/step';

interface Props {
  own: readonly Step[];
  /** whether the fact is a moment, which has hours and minutes */
  isMoment: boolean;
  onSteps: (steps: Step[]) => void;
}

/** How far before or after a day is meant, how large a share of a sum, how wide a picture: what a form counts, to be changed. */
export function AmountOfForm({ own, isMoment, onSteps }: Props) {
  const id = useId();
  const at = own.findIndex(({ step }) => ['plus', 'minus', 'share', 'width'].includes(step));
  const step = own[at];
  if (!step) return null;
  const put = (next: Step) => onSteps(own.map((one, i) => (i === at ? next : one)));
  switch (step.step) {
    case 'plus':
    case 'minus': {
      const units = UNITS.filter((unit) => isMoment || (unit !== 'minute' && unit !== 'hour'));
      return (
        <div className="amount-of-form" role="group" aria-label="How far before or after">
          <Count
            key={step.amount}
            id={`${id}-amount`}
            label="How many"
            value={String(step.amount)}
            fits={/^[1-9]\d{0,3}$/}
            onCount={(amount) => put({ ...step, amount: Number(amount) })}
          />
          <Form.Select
            size="sm"
            aria-label="Of what"
            value={step.unit}
            onChange={(event) => put({ ...step, unit: event.target.value as Unit })}
          >
            {units.map((unit) => (
              <option key={unit} value={unit}>
                {step.amount === 1 ? unit : `${unit}s`}
              </option>
            ))}
          </Form.Select>
          <Form.Select
            size="sm"
            aria-label="Before or after"
            value={step.step}
            onChange={(event) => put({ ...step, step: event.target.value as 'plus' | 'minus' })}
          >
            <option value="minus">before</option>
            <option value="plus">after</option>
          </Form.Select>
        </div>
      );
    }
    case 'share':
      return (
        <Count
          key={step.percent}
          id={`${id}-share`}
          label="How many per cent of it"
          value={step.percent}
          fits={/^\d{1,3}(?:\.\d{1,3})?$/}
          onCount={(percent) => put({ ...step, percent })}
        />
      );
    case 'width':
      return (
        <Count
          key={step.pixels}
          id={`${id}-width`}
          label="How wide, in pixels"
          value={String(step.pixels)}
          fits={/^[1-9]\d{1,3}$/}
          onCount={(pixels) => put({ ...step, pixels: Number(pixels) })}
        />
      );
    default:
      return null;
  }
}

interface CountProps {
  id: string;
  label: string;
  value: string;
  fits: RegExp;
  onCount: (count: string) => void;
}

/** A number that is kept when it is one that fits; another one is not taken. */
function Count({ id, label, value, fits, onCount }: CountProps) {
  return (
    <Form.Group controlId={id} className="field-fallback">
      <Form.Label>{label}</Form.Label>
      <Form.Control
        size="sm"
        inputMode="decimal"
        defaultValue={value}
        onBlur={(event) => {
          const typed = event.target.value.trim().replace(',', '.');
          if (typed === value) return;
          if (fits.test(typed)) onCount(typed);
          else event.target.value = value;
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !event.nativeEvent.isComposing) event.currentTarget.blur();
        }}
      />
    </Form.Group>
  );
}
