'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { isFormKind } from '../../core/contract/records/recordForms';
import type { PutBackAnswer } from '../../core/contract/records/removing';
import { askServer } from '../writing/askServer';
import { recordPath } from './recordPath';
import { tellRemoved, useRemovedHere } from './removedHere';

/** So many milliseconds it is offered where one stands; after that under Settings. */
const WHILE = 10_000;

/** What was removed a moment ago, with what puts it back. */
export function RemovedNote() {
  const removed = useRemovedHere();
  const router = useRouter();
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    setProblem(undefined);
    if (!removed) return;
    const timer = setTimeout(() => tellRemoved(undefined), WHILE);
    return () => clearTimeout(timer);
  }, [removed]);

  async function putBack() {
    const answer = await askServer<PutBackAnswer>('/api/records/removed', { id: removed!.id });
    if ('offline' in answer) return setProblem('There is no connection. It is under Settings, Removed.');
    const { body } = answer;
    if (body.error !== undefined) return setProblem(body.error);
    tellRemoved(undefined);
    if (isFormKind(body.kind)) router.push(recordPath({ kind: body.kind, key: body.key }));
    router.refresh();
  }

  return (
    <div role="status" className={removed ? 'removed-note' : undefined}>
      {removed && (
        <p>
          {removed.name} is removed.{' '}
          <button type="button" className="btn btn-link" onClick={() => void putBack()}>
            Put back
          </button>
          {problem && <span className="problem"> {problem}</span>}
        </p>
      )}
    </div>
  );
}
