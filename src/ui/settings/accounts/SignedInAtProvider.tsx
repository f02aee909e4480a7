'use client';

import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import { ACCOUNT_KINDS, WHOSE_ACCOUNT } from '../../../core/contract/records/mailAccount';
import type { KeptAnswer } from '../../../core/contract/records/keeping';
import { dropHere } from '../../forms/keptHere';
import { askServer } from '../../writing/askServer';
import { accountPlace } from './accountPlace';

interface Props {
  owner: string;
  code?: string | undefined;
  state?: string | undefined;
  error?: string | undefined;
}

/** Somebody has come back from their provider: what they came back with is given once, and what came of it is said. */
export function SignedInAtProvider({ owner, code, state, error }: Props) {
  const [said, setSaid] = useState<{ words: string; trouble: boolean }>();
  const began = useRef(false);
  useEffect(() => {
    if (began.current) return;
    began.current = true;
    void askServer<KeptAnswer<object>>('/api/mail-accounts/signed-in', {
      ...(code === undefined ? {} : { code }),
      state: state ?? 'none',
      ...(error === undefined ? {} : { error }),
    }).then((answer) => {
      if ('offline' in answer)
        return setSaid({ words: 'There is no connection. Begin it again when there is.', trouble: true });
      const { body } = answer;
      if (body.result === 'kept') {
        for (const kind of ACCOUNT_KINDS)
          for (const whose of WHOSE_ACCOUNT) dropHere(accountPlace(owner, { kind, whose }));
        return setSaid({ words: 'Kept. It is used from now on.', trouble: false });
      }
      const words = 'error' in body ? body.error : 'Somebody has changed the account meanwhile.';
      return setSaid({ words: `It is not kept. ${words}`, trouble: true });
    });
  }, [owner, code, state, error]);
  return (
    <div className="form-part">
      <p role={said?.trouble ? 'alert' : 'status'} className={said?.trouble ? 'problem' : 'in-order'}>
        {said?.words ?? 'Talking to the server …'}
      </p>
      {said && (
        <p>
          <Link href="/settings/sending" prefetch={false}>
            To the sending account
          </Link>{' '}
          <Link href="/settings/mailbox" prefetch={false}>
            To the mailbox
          </Link>
        </p>
      )}
    </div>
  );
}
