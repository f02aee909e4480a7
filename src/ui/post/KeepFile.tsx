'use client';

import { useState } from 'react';
import type { RecordFileAnswer } from '../../core/contract/recordFiles';
import { askServer } from '../writing/askServer';

/** Keeps a file that came with a message with its job or client, in one press. @param job its name */
export function KeepFile({ path, job }: { path: string; job: string }) {
  const [said, setSaid] = useState<{ words: string; done: boolean }>();
  const [busy, setBusy] = useState(false);

  async function keep() {
    setBusy(true);
    const answer = await askServer<RecordFileAnswer>(path, {});
    setBusy(false);
    if ('offline' in answer)
      return setSaid({ words: 'There is no connection. It is not kept.', done: false });
    const { body } = answer;
    if (body.result === 'done') setSaid({ words: body.note ?? `Kept with ${job}.`, done: true });
    else setSaid({ words: body.error, done: false });
  }

  return (
    <>
      {!said?.done && (
        <button type="button" className="btn btn-link" disabled={busy} onClick={() => void keep()}>
          {busy ? 'Keeping …' : `Keep with ${job}`}
        </button>
      )}
      {said && (
        <span role={said.done ? 'status' : 'alert'} className={said.done ? 'in-order' : 'problem'}>
          {said.words}
        </span>
      )}
    </>
  );
}
