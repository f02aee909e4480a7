'use client';

import { useState } from 'react';
import { usePutBack } from '../records/usePutBack';

interface Props {
  removed: readonly { id: string; name: string; note: string }[];
}

/** What was removed, each with what puts it back. */
export function RemovedList({ removed }: Props) {
  const putBack = usePutBack('There is no connection. Nothing has been put back.');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();

  async function press(id: string) {
    setBusy(true);
    setProblem(await putBack(id));
    setBusy(false);
  }

  if (removed.length === 0) return <p className="hint">Nothing was removed.</p>;
  return (
    <>
      <ul className="record-links">
        {removed.map(({ id, name, note }) => (
          <li key={id}>
            <span>{name}</span>
            <span className="entry-note">{note}</span>
            <button
              type="button"
              className="btn btn-link"
              disabled={busy}
              aria-label={`Put ${name} back`}
              onClick={() => void press(id)}
            >
              Put back
            </button>
          </li>
        ))}
      </ul>
      <p className="problem" role="alert">
        {problem}
      </p>
    </>
  );
}
