'use client';

import { useEffect, useId, useRef, useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Refusal } from '../../core/contract/refusal';
import type { Credentials } from '../../core/contract/session';
import { clearKeptPages } from '../device/keptPages';

interface Props {
  /** where to go then */
  to: string;
  /** members that may be tried out; none outside a demonstration */
  demonstration: { name: string; title: string | null; email: string; password: string }[];
  /** what is said above */
  note?: string | undefined;
}

/** Address and password. What was typed stays when signing in fails. */
export function SignInForm({ to, demonstration, note }: Props) {
  const [problem, setProblem] = useState<{ error: string; field?: string }>();
  const [busy, setBusy] = useState(false);
  // A press before the page listens would send the form as browsers do, and what was typed would be gone.
  const [listens, setListens] = useState(false);
  useEffect(() => setListens(true), []);
  const form = useRef<HTMLFormElement>(null);
  const messageId = useId();

  // Nobody is signed in: what the last one has seen is no longer shown here.
  useEffect(() => void clearKeptPages(), []);

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    await enter(String(data.get('email')), String(data.get('password')));
  }

  async function enter(email: string, password: string) {
    setBusy(true);
    setProblem(undefined);
    const failed = await askToSignIn(email, password);
    if (!failed) {
      await clearKeptPages();
      window.location.assign(to);
      return;
    }
    setBusy(false);
    setProblem(failed);
    form.current?.querySelector<HTMLInputElement>(`[name="${failed.field ?? 'password'}"]`)?.focus();
  }

  const describe = (field: string) =>
    problem && (problem.field ?? field) === field ? { isInvalid: true, 'aria-describedby': messageId } : {};
  return (
    <Form ref={form} className="paper sign-in-paper" method="post" onSubmit={submit} noValidate>
      <h1 className="wordmark">
        Fair Quill<span aria-hidden="true">.</span>
      </h1>
      {note && (
        <p className="problem" role="alert">
          {note}
        </p>
      )}
      <Form.Group controlId="email">
        <Form.Label>Email address</Form.Label>
        <Form.Control name="email" type="email" autoComplete="username" autoFocus {...describe('email')} />
      </Form.Group>
      <Form.Group controlId="password">
        <Form.Label>Password</Form.Label>
        <Form.Control
          name="password"
          type="password"
          autoComplete="current-password"
          {...describe('password')}
        />
      </Form.Group>
      <p id={messageId} className="problem" role="alert">
        {problem?.error}
      </p>
      <Button type="submit" disabled={busy || !listens}>
        {busy ? 'Signing in …' : 'Sign in'}
      </Button>
      {demonstration.length > 0 && (
        <section className="try-out" aria-labelledby="try-out">
          <h2 id="try-out">Try it out as</h2>
          <ul>
            {demonstration.map(({ name, title, email, password }) => (
              <li key={email}>
                <button
                  type="button"
                  className="btn btn-link"
                  disabled={busy}
                  onClick={() => void enter(email, password)}
                >
                  {name}
                </button>
                {title && <span className="entry-note">{title}</span>}
              </li>
            ))}
          </ul>
        </section>
      )}
    </Form>
  );
}

async function askToSignIn(email: string, password: string): Promise<Refusal | undefined> {
  try {
    const answer = await fetch('/api/session', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email, password } satisfies Credentials),
    });
    return answer.ok ? undefined : ((await answer.json()) as Refusal);
  } catch {
    return { error: 'There is no connection to the server. Try again in a moment.' };
  }
}
