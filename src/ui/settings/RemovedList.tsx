'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { isFormKind } from '../../core/contract/records/recordForms';
import type { PutBackAnswer } from '../../core/contract/records/removing';
import { recordPath } from '../records/recordPath';
import { askServer } from '../writing/askServer';

interface Props {
  removed: readonly { id: string; name: string; note: string }[];
}

/** What was removed, each with what puts it back. */
export function RemovedList({ removed }: Props) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();

  async function putBack(id: string) {
    setBusy(true);
    setProblem(undefined);
    const answer = await askServer<PutBackAnswer>('/api/records/removed', { id });
    setBusy(false);
    if ('offline' in answer) return setProblem('There is no connection. Nothing has been put back.');
    const { body } = answer;
    if (body.error !== undefined) return setProblem(body.error);
    if (isFormKind(body.kind)) router.push(recordPath({ kind: body.kind, key: body.key }));
    router.refresh();
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
              onClick={() => void putBack(id)}
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
