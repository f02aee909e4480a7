'use client';

import { useRouter } from 'next/navigation';
import { useId, useState, type FormEvent, type ReactNode } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { NamedAnswer } from '../../../core/contract/named';
import type { Refusal } from '../../../core/contract/refusal';
import { askServer } from '../../writing/askServer';
import { BEGIN } from '../begin';

/** Where they are made and listed. */
const PLACE = { passage: 'passages', signature: 'signatures', shorthand: 'shorthand' } as const;

interface Props {
  what: 'passage' | 'signature' | 'shorthand';
  /** what its name is, where it is not simply that */
  called?: { placeholder: string; missing: string };
  /** what is chosen beside its name, under an id for its label */
  choices?: (id: string) => ReactNode;
  /** what goes along with its name */
  send?: (form: FormData) => object;
}

/** A new passage, signature or shorthand, by its name; its page is opened. */
export function NewNamed({ what, called, choices, send }: Props) {
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const id = useId();

  async function make(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const name = String(form.get('name') ?? '').trim();
    if (!name) return setProblem(called?.missing ?? `Give the ${what} a name.`);
    setBusy(true);
    const answer = await askServer<NamedAnswer | Refusal>(`/api/${PLACE[what]}`, { name, ...send?.(form) });
    setBusy(false);
    if ('offline' in answer) return setProblem('There is no connection. The name is still here.');
    const { body } = answer;
    if (body.result === 'done') {
      router.push(`/templates/${PLACE[what]}/${encodeURIComponent(body.key)}${BEGIN}`);
      return router.refresh();
    }
    setProblem(body.error);
  }

  return (
    <Form className="contents-new" onSubmit={(event) => void make(event)} noValidate>
      <Form.Label htmlFor={id}>A new {what}</Form.Label>
      <div className="foot-line">
        <Form.Control
          id={id}
          name="name"
          placeholder={called?.placeholder ?? 'Its name'}
          maxLength={100}
          isInvalid={problem !== undefined}
          aria-describedby={`${id}-problem`}
        />
        {choices?.(`${id}-whose`)}
        <Button type="submit" disabled={busy}>
          Make it
        </Button>
      </div>
      <p id={`${id}-problem`} className="problem" role="alert">
        {problem}
      </p>
    </Form>
  );
}
