'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { askToTakeBack } from '../sending/askToTakeBack';

/** Takes a letter back that has not gone yet. */
export function TakeBack({ id, going }: { id: string; going: boolean }) {
  const router = useRouter();
  const [words, setWords] = useState('');
  if (!going) return <p role="status">{words}</p>;
  async function takeBack() {
    const answer = await askToTakeBack(id);
    if (answer === 'offline')
      return setWords('There is no connection: it goes when its time comes. Press again when you are back.');
    if (answer === 'unanswered')
      return setWords('The server did not answer: it has not been taken back. Press again.');
    setWords(answer.inTime ? 'It was taken back.' : 'It is too late: it has gone.');
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
