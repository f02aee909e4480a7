'use client';

import { useId, useState, type FormEvent } from 'react';
import type { PutRight as Asked } from '../../core/contract/records/puttingRight';
import type { Done } from '../../core/contract/refusal';
import { capital } from '../../core/describe/capital';
import type { Source } from '../../core/writing/sourceOf';
import { askServer } from '../writing/askServer';

interface Props {
  source: Source;
  /** it is kept: the letter is filled from it */
  onKept: () => void;
}

/** Puts a fact right where it is kept, for this letter and all to come. */
export function PutRight({ source, onKept }: Props) {
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');
  const id = useId();

  async function keep(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const facts = source.facts
      .map(({ fact, was }) => ({ fact, was, now: String(typed.get(fact) ?? '').trim() }))
      .filter(({ was, now }) => was !== now);
    if (facts.length === 0) return setOpen(false);
    setBusy(true);
    setTrouble('');
    const asked: Asked = { ...(source.of === undefined ? {} : { of: source.of }), facts };
    const answer = await askServer<Done>(
      `/api/clients/${encodeURIComponent(source.client)}/facts`,
      asked,
      'PATCH',
    );
    setBusy(false);
    if ('offline' in answer)
      return setTrouble('There is no connection. Nothing has changed; what you typed is still here.');
    if (answer.body.error) return setTrouble(answer.body.error);
    setOpen(false);
    onKept();
  }

  if (!open)
    return (
      <button type="button" className="btn btn-link" onClick={() => setOpen(true)}>
        Put right for all letters
      </button>
    );
  return (
    <form className="put-right" onSubmit={(event) => void keep(event)} noValidate>
      {source.facts.map(({ fact, label, was }, i) => (
        <p key={fact}>
          <label htmlFor={`${id}-${fact}`}>{capital(label)}</label>
          <input
            id={`${id}-${fact}`}
            name={fact}
            className="form-control"
            defaultValue={was}
            autoComplete="off"
            autoFocus={i === 0}
            aria-describedby={`${id}-for`}
          />
        </p>
      ))}
      <p id={`${id}-for`} className="note-reason">
        Kept with {source.whose}, for this letter and all to come.
      </p>
      <button type="submit" className="btn btn-outline-primary" disabled={busy}>
        Keep
      </button>{' '}
      <button type="button" className="btn btn-link" onClick={() => setOpen(false)}>
        Leave it
      </button>
      <p className="problem" role="alert">
        {trouble}
      </p>
    </form>
  );
}
