'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { MergeAnswer } from '../../core/contract/merging';
import { recordPath } from '../records/recordPath';
import { askServer } from '../writing/askServer';

interface Props {
  clientKey: string;
  merged: readonly { id: string; words: string }[];
}

/** What went into a client within the day, with what undoes it. */
export function MergedNote({ clientKey, merged }: Props) {
  const router = useRouter();
  const [problem, setProblem] = useState<string>();

  async function undo(id: string) {
    const path = `/api${recordPath({ kind: 'client', key: clientKey })}/merge`;
    const answer = await askServer<MergeAnswer>(path, { id }, 'DELETE');
    if ('offline' in answer) return setProblem('There is no connection. They are still one.');
    if (answer.body.error !== undefined) return setProblem(answer.body.error);
    router.push(recordPath({ kind: 'client', key: answer.body.key }));
    router.refresh();
  }

  return (
    <div className="record-acts">
      {merged.map(({ id, words }) => (
        <p key={id} role="status">
          {words}{' '}
          <button type="button" className="btn btn-link" onClick={() => void undo(id)}>
            Make two of them again
          </button>
        </p>
      ))}
      <p className="problem" role="alert">
        {problem}
      </p>
    </div>
  );
}
