'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { Done } from '../../core/contract/refusal';
import { askServer } from '../writing/askServer';

/** How long a try may take before the page is read again, in milliseconds. */
const A_TRY = 3000;

/** Has the letters that wait for the mail server tried at once. @param ofAccount it is that of a sending account, which may be put right */
export function TryNow({ ofAccount }: { ofAccount: boolean }) {
  const router = useRouter();
  const [words, setWords] = useState('');
  async function tryNow() {
    const answer = await askServer<Done>('/api/sending', {});
    if ('offline' in answer) return setWords('There is no connection.');
    if (answer.body.error) return setWords(answer.body.error);
    setWords('It is asked now.');
    setTimeout(() => {
      setWords('');
      router.refresh();
    }, A_TRY);
  }
  return (
    <p className="cure-actions">
      <Button variant="outline-primary" disabled={words === 'It is asked now.'} onClick={() => void tryNow()}>
        Try now
      </Button>
      {ofAccount && (
        <Link href="/settings/sending" prefetch={false} className="btn btn-link">
          See the sending account
        </Link>
      )}
      <span role="status">{words}</span>
    </p>
  );
}
