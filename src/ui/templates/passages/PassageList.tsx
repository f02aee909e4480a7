'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useId, useState, type FormEvent } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { ListedPassage, PassageAnswer } from '../../../core/contract/passages';
import type { Refusal } from '../../../core/contract/refusal';
import { askServer } from '../../writing/askServer';

/** The passages by name, and a new one by a name alone. */
export function PassageList({ passages }: { passages: readonly ListedPassage[] }) {
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const id = useId();

  async function make(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const name = String(new FormData(event.currentTarget).get('name') ?? '').trim();
    if (!name) return setProblem('Give the passage a name.');
    setBusy(true);
    const answer = await askServer<PassageAnswer | Refusal>('/api/passages', { name });
    setBusy(false);
    if ('offline' in answer) return setProblem('There is no connection. The name is still here.');
    const { body } = answer;
    if (body.result === 'done') return router.push(`/templates/passages/${encodeURIComponent(body.key)}`);
    setProblem(body.error);
  }

  return (
    <article className="paper passages" aria-labelledby="passages-title">
      <div className="letter-head">
        <Link href="/templates" className="back-to-list">
          Templates
        </Link>
        <h1 id="passages-title">Passages</h1>
        <p>Text that many templates share. Changed once, it is changed in all of them.</p>
      </div>
      {passages.length === 0 && <p className="hint">There is none yet. Give the first one a name.</p>}
      <ul className="passage-list">
        {passages.map(({ key, name, begins, uses }) => (
          <li key={key}>
            <Link href={`/templates/passages/${encodeURIComponent(key)}`}>
              <span className="entry-name">{name}</span>
              <span className="entry-note">{begins}</span>
              <span className="entry-note">
                {uses === 0 ? 'in no template yet' : uses === 1 ? 'in one template' : `in ${uses} templates`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      <Form className="contents-new" onSubmit={(event) => void make(event)} noValidate>
        <Form.Label htmlFor={id}>A new passage</Form.Label>
        <div className="foot-line">
          <Form.Control
            id={id}
            name="name"
            placeholder="Its name"
            maxLength={100}
            isInvalid={problem !== undefined}
            aria-describedby={`${id}-problem`}
          />
          <Button type="submit" disabled={busy}>
            Make it
          </Button>
        </div>
        <p id={`${id}-problem`} className="problem" role="alert">
          {problem}
        </p>
      </Form>
    </article>
  );
}
