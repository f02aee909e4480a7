'use client';

import { useState } from 'react';
import { INVITED_FOR_DAYS } from '../../core/contract/settingUp';
import type { Refusal } from '../../core/contract/refusal';
import { askServer } from '../writing/askServer';

/** Makes an invitation to make another business here. @param base where it leads, without what it is known by */
export function InviteForm({ base }: { base: string }) {
  const [address, setAddress] = useState<string>();
  const [trouble, setTrouble] = useState<string>();
  const [busy, setBusy] = useState(false);

  async function invite() {
    setBusy(true);
    setTrouble(undefined);
    const answer = await askServer<{ token: string } & Partial<Refusal>>('/api/business/invitations', {});
    setBusy(false);
    if ('offline' in answer) return setTrouble('There is no connection. Nobody was invited.');
    if (answer.status !== 201) return setTrouble(answer.body.error);
    setAddress(`${base}?invited=${answer.body.token}`);
  }

  return (
    <section className="form-part" aria-label="An invitation">
      <p>
        Whoever opens the address of an invitation makes a business of their own here, once, within{' '}
        {INVITED_FOR_DAYS} days. They see nothing of yours, and you nothing of theirs.
      </p>
      <div role="status">
        {address && (
          <p>
            Send this to them. It is shown only now: <code className="feed-address">{address}</code>
          </p>
        )}
      </div>
      <div className="foot-line">
        <button
          type="button"
          className="btn btn-outline-primary"
          disabled={busy}
          onClick={() => void invite()}
        >
          {address ? 'Another invitation' : 'Make an invitation'}
        </button>
        <p className="problem" role="alert">
          {trouble}
        </p>
      </div>
    </section>
  );
}
