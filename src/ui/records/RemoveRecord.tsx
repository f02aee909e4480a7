'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { FormKind } from '../../core/contract/records/formKinds';
import type { RemoveAnswer } from '../../core/contract/records/removing';
import { askServer } from '../writing/askServer';
import { tellRemoved } from './removedHere';

interface Props {
  kind: FormKind;
  recordKey: string;
  version: number;
  name: string;
  /** what goes along, in words: "3 visits and 1 project" */
  along: string;
  /** the list that it is in */
  list: string;
}

/** Takes a record out: what goes along is said before, and it can be put back. */
export function RemoveRecord({ kind, recordKey, version, name, along, list }: Props) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();

  async function remove() {
    setBusy(true);
    setProblem(undefined);
    const path = `/api/records/${kind}/${encodeURIComponent(recordKey)}`;
    const answer = await askServer<RemoveAnswer>(path, { version }, 'DELETE');
    setBusy(false);
    if ('offline' in answer) return setProblem('There is no connection. Nothing has been removed.');
    const { body } = answer;
    if (body.error !== undefined) return setProblem(body.error);
    tellRemoved({ id: body.removed, name });
    router.push(list);
    router.refresh();
  }

  return (
    <details className="form-more remove-record">
      <summary>Remove</summary>
      <p>
        {along ? `With it go ${along}. ` : ''}Letters stay in Post. For 30 days it can be put back, under
        Settings.
      </p>
      <button type="button" className="btn btn-outline-primary" disabled={busy} onClick={() => void remove()}>
        Remove it
      </button>
      <p className="problem" role="alert">
        {problem}
      </p>
    </details>
  );
}
