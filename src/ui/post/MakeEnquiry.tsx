'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { EnquiryMadeAnswer } from '../../core/contract/letters';
import { askServer } from '../writing/askServer';

/** Makes an enquiry of a message from somebody unknown, and goes there. */
export function MakeEnquiry({ id }: { id: string }) {
  const router = useRouter();
  const [trouble, setTrouble] = useState<string>();
  const [busy, setBusy] = useState(false);

  async function make() {
    setBusy(true);
    const answer = await askServer<EnquiryMadeAnswer>(`/api/letters/${id}/enquiry`, {});
    if ('offline' in answer) setTrouble('There is no connection. Nothing has changed.');
    else if (answer.body.error !== undefined) setTrouble(answer.body.error);
    else return router.push(`/work/enquiries/${encodeURIComponent(answer.body.key)}`);
    setBusy(false);
  }

  return (
    <>
      <button type="button" className="btn btn-outline-primary" disabled={busy} onClick={() => void make()}>
        {busy ? 'Making it …' : 'Make an enquiry of it'}
      </button>
      {trouble && (
        <span className="problem" role="alert">
          {trouble}
        </span>
      )}
    </>
  );
}
