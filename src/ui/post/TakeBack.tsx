'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { TakeBackAnswer } from '../../core/contract/letters';
import { askServer } from '../writing/askServer';

/** Takes a letter back that has not gone yet. */
export function TakeBack({ id, going }: { id: string; going: boolean }) {
  const router = useRouter();
  const [words, setWords] = useState('');
  if (!going) return <p role="status">{words}</p>;
  async function takeBack() {
    const answer = await askServer<TakeBackAnswer>(`/api/letters/${id}/take-back`, {});
    if ('offline' in answer)
      return setWords('There is no connection: it goes when its time comes. Press again when you are back.');
    const { status } = answer.body;
    if (!status) return setWords('The server did not answer: it has not been taken back. Press again.');
    setWords(answer.status === 200 ? 'It was taken back.' : 'It is too late: it has gone.');
    router.refresh();
  }
  return (
    <>
      <Button variant="outline-primary" onClick={() => void takeBack()}>
        Take it back
      </Button>
      <p role="status">{words}</p>
    </>
  );
}
