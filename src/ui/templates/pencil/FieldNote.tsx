'use client';

import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import type { Step } from '../../../core/document/step';
import type { ToldField } from '../../../core/fields/fieldDesk';
import { stepsInWords } from '../../../core/fill/steps/compileSteps';
import { AmountOfForm } from './AmountOfForm';

interface Props {
  told: ToldField | undefined;
  steps: readonly Step[];
  /** what it says for the record in view, and whom that is for */
  says: string | undefined;
  inView: string | undefined;
  /** how often the same fact stands on the page */
  times: number;
  onSteps: (steps: Step[]) => void;
  /** another field is wanted in its place, or in all of its places */
  onAnother: (everywhere: boolean) => void;
  onRemove: () => void;
}

/** A field in pencil: whose fact it is, the form it is said in, what speaks for it where it is missing. */
export function FieldNote({ told, steps, says, inView, times, onSteps, onAnother, onRemove }: Props) {
  const [everywhere, setEverywhere] = useState(false);
  const name = useId();
  const fallback = steps.find((step) => step.step === 'or');
  const own = steps.filter(({ step }) => step !== 'or');
  const withForm = (form: readonly Step[]) => onSteps(fallback ? [...form, fallback] : [...form]);
  const chosen = JSON.stringify(own);
  return (
    <>
      {told?.description && <p className="note-reason">{told.description}.</p>}
      {told ? (
        <p className="note-reason">
          {says === undefined
            ? `It says nothing for ${inView ?? 'the record in view'}: a letter would have a hole here.`
            : `For ${inView}: ${says}`}
        </p>
      ) : (
        <p className="note-reason">There is no such field here.</p>
      )}
      {told && told.forms.length > 1 && (
        <fieldset className="field-forms">
          <legend>Say it as</legend>
          {told.forms.map((form) => (
            <label key={JSON.stringify(form.steps)} className="check">
              <input
                type="radio"
                name={name}
                checked={JSON.stringify(form.steps) === chosen}
                onChange={() => withForm(form.steps)}
              />
              <span>
                <span className="fact-words">{form.says ?? formInWords(form.steps)}</span>
                {form.says !== undefined && form.steps.length > 0 && (
                  <span className="fact-label">{formInWords(form.steps)}</span>
                )}
              </span>
            </label>
          ))}
        </fieldset>
      )}
      <WordsOfForm own={own} onSteps={withForm} />
      <AmountOfForm own={own} isMoment={told?.type.kind === 'moment'} onSteps={withForm} />
      <Form.Group controlId={`${name}-or`} className="field-fallback">
        <Form.Label>Where it is missing, say</Form.Label>
        <Form.Control
          defaultValue={fallback?.words ?? ''}
          key={`${chosen} ${fallback?.words}`}
          placeholder="nothing: the letter waits"
          onBlur={(event) => {
            const words = event.target.value.trim();
            if (words !== (fallback?.words ?? '')) onSteps(words ? [...own, { step: 'or', words }] : own);
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && !event.nativeEvent.isComposing) event.currentTarget.blur();
          }}
        />
      </Form.Group>
      <div className="note-acts">
        {times > 1 && (
          <label className="check">
            <input
              type="checkbox"
              checked={everywhere}
              onChange={(event) => setEverywhere(event.target.checked)}
            />
            in all {times} places
          </label>
        )}
        <button type="button" className="btn btn-link" onClick={() => onAnother(everywhere)}>
          Another field
        </button>
        <button type="button" className="btn btn-link" onClick={onRemove}>
          Take it out
        </button>
      </div>
    </>
  );
}

/** A form as words, where there is no example of it. */
function formInWords(form: readonly Step[]): string {
  return form.length ? stepsInWords(form).join(', ') : 'as it is';
}

/** The words that a form has in it, to be changed: on a button, for a link, for yes and no. */
function WordsOfForm({ own, onSteps }: { own: readonly Step[]; onSteps: (steps: Step[]) => void }) {
  const id = useId();
  const at = own.findIndex(({ step }) => step === 'as' || step === 'button' || step === 'counted');
  const step = own[at];
  if (!step) return null;
  const words =
    step.step === 'as'
      ? step.words
      : step.step === 'button'
        ? [step.words]
        : step.step === 'counted'
          ? step.forms
          : [];
  const change = (i: number, word: string) => {
    if (!word.trim() || word === words[i]) return;
    const next = words.map((one, j) => (j === i ? word : one));
    const changed = (
      step.step === 'button'
        ? { step: 'button', words: next[0] }
        : step.step === 'as'
          ? { step: 'as', words: next }
          : { step: 'counted', forms: next }
    ) as Step;
    onSteps(own.map((one, j) => (j === at ? changed : one)));
  };
  return words.map((word, i) => (
    <Form.Group key={`${i} ${word}`} controlId={`${id}-${i}`} className="field-fallback">
      <Form.Label>{labelOfWords(step, i)}</Form.Label>
      <Form.Control defaultValue={word} onBlur={(event) => change(i, event.target.value)} />
    </Form.Group>
  ));
}

function labelOfWords({ step }: Step, i: number): string {
  if (step === 'button') return 'On the button';
  if (step === 'counted') return i === 0 ? 'For one' : 'For several';
  return i === 0 ? 'Words' : 'Words for no';
}
