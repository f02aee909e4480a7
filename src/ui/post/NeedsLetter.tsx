'use client';

import Link from 'next/link';
import { useState } from 'react';
import { whatIsKnown } from '../../core/cures/cures';
import { Cures } from './Cures';
import type { ShownLetter } from '../../core/contract/letters';
import { otherSide } from './otherSide';
import { LetterState } from './LetterState';

/** A letter that needs somebody, in the state that it is in by now. */
export function NeedsLetter({ letter, me }: { letter: ShownLetter; me: string }) {
  const [status, setStatus] = useState(letter.status);
  const { id, at, day, member, member_key, subject } = letter;
  return (
    <li className="paper needs-letter">
      <p className="needs-head">
        <LetterState status={status} />
        <time dateTime={at}>{day}</time>
        {member_key !== me && member && <span className="card-whose">{member}’s</span>}
      </p>
      <h3>
        <Link href={`/post/${id}`} prefetch={false}>
          {subject || 'Without a subject'}
        </Link>
      </h3>
      <p className="entry-note">{otherSide(letter)}</p>
      {status === letter.status && whatIsKnown(letter).map((words) => <p key={words}>{words}</p>)}
      <Cures letter={letter} onStatus={setStatus} />
    </li>
  );
}
