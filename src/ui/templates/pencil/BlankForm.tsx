'use client';

import { useId, useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Blank, BlankType } from '../../../core/document/templateDocument';
import { readAnswer } from '../../../core/fill/blanks';

interface Props {
  blank?: Blank['attrs'];
  /** ISO 4217: what a sum is in */
  currency: string;
  button: string;
  onDone: (attrs: Blank['attrs']) => void;
}

/** The kinds of answer, as they are asked for. */
const KINDS: readonly [BlankType['kind'], string][] = [
  ['text', 'a few words'],
  ['long text', 'some lines'],
  ['number', 'a number'],
  ['money', 'a sum'],
  ['date', 'a day'],
  ['yes/no', 'yes or no'],
  ['choice', 'one of these'],
];

/** A blank: what is asked when the letter is written, and what can be answered. */
export function BlankForm({ blank, currency, button, onDone }: Props) {
  const [kind, setKind] = useState(blank?.answer?.kind ?? 'text');
  const [wrong, setWrong] = useState<string>();
  const id = useId();

  function done(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const given = new FormData(event.currentTarget);
    const words = (name: string) => String(given.get(name) ?? '').trim();
    const name = words('name').replace(/\s+/g, ' ');
    if (!name) return setWrong('Write what is asked.');
    if (/[{}|:="]/.test(name)) return setWrong('Ask without braces, quotes, “|”, “:” and “=”.');
    const of = words('of')
      .split(',')
      .map((one) => one.trim())
      .filter(Boolean);
    if (kind === 'choice' && of.length < 2)
      return setWrong('Write at least two answers, with a comma between.');
    const answer: BlankType = kind === 'choice' ? { kind, of } : { kind };
    const preset = words('default');
    if (preset) {
      const read = readAnswer(preset, answer, currency);
      if ('expected' in read) return setWrong(`What stands there at first is ${read.expected}.`);
    }
    setWrong(undefined);
    onDone({ name, answer, ...(preset ? { default: preset } : {}), steps: blank?.steps ?? [] });
  }

  return (
    <form onSubmit={done}>
      <Form.Group controlId={`${id}-name`} className="field-fallback">
        <Form.Label>What is asked</Form.Label>
        <Form.Control
          name="name"
          autoFocus={!blank}
          defaultValue={blank?.name}
          placeholder="Hourly rate"
          aria-describedby={wrong ? `${id}-wrong` : undefined}
        />
      </Form.Group>
      <Form.Group controlId={`${id}-kind`} className="field-fallback">
        <Form.Label>The answer is</Form.Label>
        <Form.Select value={kind} onChange={(event) => setKind(event.target.value as BlankType['kind'])}>
          {KINDS.map(([one, words]) => (
            <option key={one} value={one}>
              {words}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      {kind === 'choice' && (
        <Form.Group controlId={`${id}-of`} className="field-fallback">
          <Form.Label>These, with a comma between</Form.Label>
          <Form.Control
            name="of"
            defaultValue={blank?.answer?.kind === 'choice' ? blank.answer.of.join(', ') : ''}
            placeholder="small, large"
          />
        </Form.Group>
      )}
      <Form.Group controlId={`${id}-default`} className="field-fallback">
        <Form.Label>What stands there at first</Form.Label>
        <Form.Control name="default" defaultValue={blank?.default ?? ''} placeholder="nothing" />
      </Form.Group>
      {wrong && (
        <p id={`${id}-wrong`} className="needs-you" role="alert">
          {wrong}
        </p>
      )}
      <Button type="submit" size="sm">
        {button}
      </Button>
    </form>
  );
}
