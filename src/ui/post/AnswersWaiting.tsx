import Link from 'next/link';
import type { AnswersWaiting as Waiting } from '../../core/contract/letters';
import { WaitingLetter } from './WaitingLetter';

interface Props {
  waiting: Waiting;
  /** the member's own key: the letters of others say whose they are */
  me: string;
}

/** What came in and waits to be answered, the longest first; from somebody unknown apart. */
export function AnswersWaiting({ waiting: { known, unknown, more, unread }, me }: Props) {
  if (known.length + unknown.length + unread.length === 0) return null;
  return (
    <>
      {unread.map((words) => (
        <p key={words} className="needs-you">
          {words}{' '}
          <Link href="/settings/mailbox" prefetch={false}>
            Mailbox
          </Link>
        </p>
      ))}
      {known.length > 0 && (
        <section className="needs-somebody" aria-labelledby="waiting-title">
          <h2 id="waiting-title">Answers waiting</h2>
          <ul>
            {known.map((letter) => (
              <WaitingLetter key={letter.id} letter={letter} me={me} />
            ))}
          </ul>
        </section>
      )}
      {unknown.length > 0 && (
        <section className="needs-somebody" aria-labelledby="unknown-title">
          <h2 id="unknown-title">From somebody in no record</h2>
          <ul>
            {unknown.map(({ letter, asks }) => (
              <WaitingLetter key={letter.id} letter={letter} me={me} asks={asks} />
            ))}
          </ul>
        </section>
      )}
      {more && <p className="hint">More stand here when these are dealt with.</p>}
    </>
  );
}
