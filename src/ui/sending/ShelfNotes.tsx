'use client';

import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import { giveShelf } from './giveShelf';
import { onShelf, shelfOf, takeOffShelf, type ShelvedLetter } from './shelf';

/** While something waits the server is asked again after so many milliseconds. */
const AGAIN = 15_000;

/** The letters that wait on this device for a connection: they are given to the server from here, and what came of it is told. */
export function ShelfNotes({ owner }: { owner: string }) {
  const [waiting, setWaiting] = useState<readonly ShelvedLetter[]>([]);
  const here = useSearchParams().get('letter');

  const give = useCallback(async () => {
    await giveShelf(owner);
    setWaiting(await shelfOf(owner));
  }, [owner]);

  useEffect(() => {
    void give();
    const seen = () => void shelfOf(owner).then(setWaiting);
    const shown = () => document.visibilityState === 'visible' && void give();
    const online = () => void give();
    const stop = onShelf(seen);
    window.addEventListener('online', online);
    document.addEventListener('visibilitychange', shown);
    return () => {
      stop();
      window.removeEventListener('online', online);
      document.removeEventListener('visibilitychange', shown);
    };
  }, [give, owner]);

  const open = waiting.some(({ refused, kept }) => !refused && !kept);
  useEffect(() => {
    if (!open) return;
    const timer = setInterval(() => void give(), AGAIN);
    return () => clearInterval(timer);
  }, [open, give]);

  // The page that a letter is written on tells it itself; one that was taken back is told only if that was too late.
  const told = waiting.filter(({ letter, takenBack, kept }) => kept ?? (!takenBack && letter.id !== here));
  return (
    <div role="status" className="shelf-notes">
      {told.map((one) => (
        <p key={one.letter.id} className={one.refused ? 'needs-you' : undefined}>
          {inWords(one)}{' '}
          <Link href={one.kept ? `/post/${one.letter.id}` : one.href} prefetch={false}>
            {one.kept ? 'See it in Post' : 'Look at it'}
          </Link>
          {one.kept && (
            <button type="button" className="btn btn-link" onClick={() => void takeOffShelf(one.letter.id)}>
              Put away
            </button>
          )}
        </p>
      ))}
    </div>
  );
}

function inWords({ name, takenBack, to, kept, refused }: ShelvedLetter): string {
  if (refused) return `The letter to ${name} has not gone: something is in its way.`;
  if (!kept) return `The letter to ${name} waits on this device for a connection.`;
  if (takenBack) return `The letter to ${name} had gone before it was taken back.`;
  if (to === '/api/letters/elsewhere') return `The letter to ${name} is noted: it went another way.`;
  if (kept.status === 'later') return `The letter to ${name} has been given over, and goes at its hour.`;
  return `The letter to ${name}, written without a connection, has been given over to be sent.`;
}
