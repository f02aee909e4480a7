'use client';

import Link from 'next/link';
import { useState } from 'react';
import type { OccasionToRest, OccasionToWake, Rest } from '../../core/contract/occasions';
import type { TodayCard } from '../../core/contract/today';
import type { Done } from '../../core/contract/refusal';
import { askServer } from '../writing/askServer';
import { turnPath } from '../sending/nextLetter';

const WAYS_TO_REST: readonly { rest: Rest; words: string; said: string }[] = [
  { rest: 'next working day', words: 'Later', said: 'Put off until the next working day.' },
  { rest: 'next week', words: 'Next week', said: 'Put off for a week.' },
  { rest: 'for good', words: 'Not needed', said: 'Nothing will be written.' },
];

/** Something worth writing: pressed anywhere it opens the letter; it can be put off or let be. */
export function OccasionCard({ card }: { card: TodayCard }) {
  const [settled, setSettled] = useState<string>();
  const [trouble, setTrouble] = useState<string>();
  const { id, start, name, reason, whose, template, beginning, open } = card;

  async function ask(send: OccasionToRest | OccasionToWake, method: string, then: string | undefined) {
    setTrouble(undefined);
    const answer = await askServer<Done>('/api/occasions', send, method);
    if ('offline' in answer) return setTrouble('There is no connection. Nothing has changed.');
    if (answer.body.error) return setTrouble(answer.body.error);
    setSettled(then);
  }

  if (settled) {
    return (
      <p className="card-settled" role="status">
        {name}: {settled}{' '}
        <button
          type="button"
          className="btn btn-link"
          onClick={() => void ask({ occasion: id }, 'DELETE', undefined)}
        >
          Undo
        </button>
      </p>
    );
  }
  const href = turnPath({ start, ...(template ? { template } : {}) });
  return (
    <article className="paper card-today" aria-label={name}>
      <p className="card-reason">
        {reason}
        {whose && <span className="card-whose">{whose}’s</span>}
      </p>
      <h2>{name}</h2>
      {beginning && <p className="card-words">{beginning}</p>}
      <p className="card-actions">
        <Link
          href={href}
          prefetch={false}
          className="btn btn-link stretched-link"
          aria-label={`Read and send to ${name}: ${template?.name ?? 'choose a template'}`}
        >
          {template ? `Read and send “${template.name}”` : 'Choose a template'}
        </Link>
        {open > 0 && (
          <span className="waiting">{open === 1 ? '1 thing to see to' : `${open} things to see to`}</span>
        )}
        <span className="card-rest" role="group" aria-label={`Not now: ${name}`}>
          {WAYS_TO_REST.map(({ rest, words, said }) => (
            <button
              key={rest}
              type="button"
              className="btn btn-link"
              onClick={() => void ask({ occasion: id, rest }, 'POST', said)}
            >
              {words}
            </button>
          ))}
        </span>
      </p>
      {trouble && (
        <p className="problem" role="alert">
          {trouble}
        </p>
      )}
    </article>
  );
}
