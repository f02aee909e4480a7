'use client';

import { useEffect, useState } from 'react';
import { tellRemoved, useRemovedHere } from './removedHere';
import { usePutBack } from './usePutBack';

/** So many milliseconds it is offered where one stands; after that under Settings. */
const WHILE = 10_000;

/** What was removed a moment ago, with what puts it back. */
export function RemovedNote() {
  const removed = useRemovedHere();
  const putBack = usePutBack('There is no connection. It is under Settings, Removed.');
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    setProblem(undefined);
    if (!removed) return;
    const timer = setTimeout(() => tellRemoved(undefined), WHILE);
    return () => clearTimeout(timer);
  }, [removed]);

  async function press() {
    const wrong = await putBack(removed!.id);
    if (wrong === undefined) tellRemoved(undefined);
    else setProblem(wrong);
  }

  return (
    <div role="status" className={removed ? 'removed-note' : undefined}>
      {removed && (
        <p>
          {removed.name} is removed.{' '}
          <button type="button" className="btn btn-link" onClick={() => void press()}>
            Put back
          </button>
          {problem && <span className="problem"> {problem}</span>}
        </p>
      )}
    </div>
  );
}
