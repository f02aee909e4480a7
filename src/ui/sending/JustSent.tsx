'use client';

import Link from 'next/link';
import { useState } from 'react';
import { askToTakeBack } from './askToTakeBack';
import { renewDraft, type Draft } from '../drafts/drafts';
import { useSecondsUntil } from './useSecondsUntil';

/** A letter that was sent a moment ago, while the next is read already. */
export interface SentLetter {
  draft: Draft;
  draftKey: string;
  /** whom it is to */
  name: string;
  /** where it is written */
  href: string;
  /** by this device's clock */
  goesAt: number;
}

/** Why it is not known whether it was taken back. */
const TROUBLE = {
  offline: 'There is no connection: it has not been taken back. ',
  unanswered: 'The server did not answer: it has not been taken back. ',
} as const;

let last: SentLetter | undefined;

/** Remembers the letter that was sent, for the page of the next one. */
export function rememberSent(letter: SentLetter): void {
  last = letter;
}

/** The letter before this one, as long as it can be taken back: its words are kept until then. */
export function JustSent() {
  const [letter] = useState(() => last);
  const [said, setSaid] = useState<keyof typeof TROUBLE | 'taken back' | 'too late'>();
  const seconds = useSecondsUntil(letter?.goesAt);
  if (!letter || (seconds === 0 && !said)) return null;

  const takeBack = async () => {
    const answer = await askToTakeBack(letter.draft.id);
    if (typeof answer === 'string') return setSaid(answer);
    if (answer.status !== 'taken back') return setSaid('too late');
    last = undefined;
    await renewDraft(letter.draftKey, letter.draft);
    setSaid('taken back');
  };

  return (
    <p className="notice just-sent" role="status">
      {said === 'taken back' ? (
        <>
          The letter to {letter.name} was taken back. <Link href={letter.href}>Write on</Link>
        </>
      ) : said === 'too late' ? (
        `It was too late: the letter to ${letter.name} has gone.`
      ) : (
        <>
          {said && TROUBLE[said]}
          Sent to {letter.name}.{' '}
          {seconds > 0 && (
            <button type="button" className="btn btn-link" onClick={() => void takeBack()}>
              Take it back<span aria-hidden="true"> ({seconds} s)</span>
            </button>
          )}
        </>
      )}
    </p>
  );
}
