'use client';

import { useState } from 'react';
import type { ChangeStatus } from '../../core/contract/records/status';
import type { Done } from '../../core/contract/refusal';
import type { StatusAfter } from '../../core/occasions/statusAfter';
import { askServer } from '../writing/askServer';

/** Has the record follow that a letter was about, in one press, and takes that back. */
export function StatusPress({ status: { kind, key, from, to, record } }: { status: StatusAfter }) {
  const [done, setDone] = useState(false);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');

  async function change(change: ChangeStatus, then: boolean) {
    setBusy(true);
    setTrouble('');
    const path = `/api/records/${kind}/${encodeURIComponent(key)}/status`;
    const answer = await askServer<Done>(path, change, 'PATCH');
    setBusy(false);
    if ('offline' in answer) return setTrouble('There is no connection. Nothing has changed.');
    if (answer.body.error) return setTrouble(answer.body.error);
    setDone(then);
  }

  return (
    <div className="foot-line">
      <p className="foot-words" role="status">
        {done ? `Noted: ${record} is ${to}.` : ''}
      </p>
      <button
        type="button"
        className="btn btn-link"
        disabled={busy}
        onClick={() => void (done ? change({ from: to, to: from }, false) : change({ from, to }, true))}
      >
        {done ? 'Undo' : `Mark ${record} as ${to}`}
      </button>
      {trouble && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
    </div>
  );
}
