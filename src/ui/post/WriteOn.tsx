'use client';

import { ownerKey } from '../../core/contract/ownerKey';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { WriteOnAnswer } from '../../core/contract/letters';
import type { Refusal } from '../../core/contract/refusal';
import { readStartingPoint } from '../../core/records/which/readStartingPoint';
import { askServer } from '../writing/askServer';
import { draftKey, renewDraft } from '../drafts/drafts';
import { writePath } from '../../core/writing/writePath';

/** Takes a letter out of what is to go, and opens its words to be written on. */
export function WriteOn({ id }: { id: string }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState('');

  async function writeOn() {
    setBusy(true);
    setTrouble('');
    const answer = await askServer<WriteOnAnswer | Refusal>(`/api/letters/${id}/write-on`, {});
    setBusy(false);
    if ('offline' in answer) return setTrouble('There is no connection. Nothing has changed.');
    if ('error' in answer.body) return setTrouble(answer.body.error);
    const { business, member, from, letter, base, name, template } = answer.body;
    const start = readStartingPoint(from)!;
    await renewDraft(draftKey(ownerKey(business, member), start), { id, letter, base, name, template });
    router.push(writePath(from, letter.choices.template));
  }

  return (
    <>
      <Button variant="outline-primary" disabled={busy} onClick={() => void writeOn()}>
        Write on
      </Button>
      {trouble && (
        <span className="problem" role="alert">
          {trouble}
        </span>
      )}
    </>
  );
}
