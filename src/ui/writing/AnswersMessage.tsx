'use client';

import Link from 'next/link';
import type { Addressee } from '../../core/fill/filled';
import type { AnsweredMessage, Replying } from '../../core/writing/reply';
import type { LetterStore } from './letterStore';

interface Props {
  reply: Replying;
  /** absent: it is not at hand, as where the letter is written on later */
  answered: AnsweredMessage | undefined;
  to: readonly Addressee[];
  store: LetterStore;
  closed: boolean;
}

/** Which message a letter answers, and whether their words stand below it. */
export default function AnswersMessage({ reply, answered, to, store, closed }: Props) {
  const at = answered?.id === reply.to ? answered : undefined;
  const { name, address } = at?.from ?? { name: '', address: '' };
  const isElsewhere =
    address !== '' && !to.some(({ email }) => email.toLowerCase() === address.toLowerCase());
  const withWords = (quotes: boolean) =>
    store.choose({
      reply: { to: reply.to, subject: reply.subject, ...(quotes ? { quotes: true as const } : {}) },
    });
  return (
    <div className="answers-message">
      <p>
        An answer to{' '}
        <Link href={`/post/${reply.to}`} prefetch={false}>
          {reply.subject || 'a message'}
        </Link>
        {at && `, from ${name || address}`}
      </p>
      {isElsewhere && (
        <p className="needs-you">
          It came from {address}, and this letter goes to{' '}
          {to.map(({ email }) => email || 'nobody').join(', ')}.
        </p>
      )}
      {!closed && (
        <label>
          <input
            type="checkbox"
            checked={reply.quotes === true}
            onChange={(event) => withWords(event.target.checked)}
          />{' '}
          With their words below
        </label>
      )}
      {at && reply.quotes && (
        <details className="quoted">
          <summary>Their words</summary>
          <p className="letter-text">{at.words.trim()}</p>
        </details>
      )}
    </div>
  );
}
