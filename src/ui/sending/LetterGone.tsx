'use client';

import Button from 'react-bootstrap/Button';
import { whatIsKnown } from '../../core/cures/cures';
import type { StatusAfter } from '../../core/occasions/statusAfter';
import { AfterLinks } from './AfterLinks';
import type { NextLetter } from './nextLetter';
import { StatusPress } from './StatusPress';
import { useSecondsUntil } from './useSecondsUntil';
import { useSettled } from './useSettled';
import type { Kept } from './handover';

/** The states of a letter that goes or has gone: its record may follow. For one that waits for its hour it would be another by then. */
const COUNTS: ReadonlySet<string> = new Set(['going', 'sent', 'delivered', 'opened', 'elsewhere']);

/** Those in which the days that it offers are held. */
const HOLDS: ReadonlySet<string> = new Set([...COUNTS, 'later']);

interface Props {
  sending: Kept;
  /** when one for later goes */
  goes: string;
  onTakeBack: () => void;
  /** begins a new letter with the words of the one that was taken back */
  onWriteOn: () => void;
  /** where the letter will be found */
  after: { href: string; words: string };
  /** the days that are held for its reader, in words; absent: none */
  held: string | undefined;
  /** how its record may stand now */
  status: StatusAfter | undefined;
  /** the letter to read next */
  next: NextLetter | undefined;
}

/** What has become of a letter that the server has, and what to do next. */
export function LetterGone({ sending, goes, onTakeBack, onWriteOn, after, held, status, next }: Props) {
  const settled = useSettled();
  const seconds = useSecondsUntil(sending.status === 'going' ? sending.goesAt : undefined);
  return (
    <div className="letter-foot">
      {sending.already && (
        <p className="trouble">This letter was already given to be sent. It goes only once.</p>
      )}
      <div className="foot-line">
        <p className="foot-words" role="status">
          <StatusWords sending={sending} goes={goes} />
          {sending.status === 'going' && seconds > 0 && <span aria-hidden="true"> In {seconds} s.</span>}
        </p>
        {(sending.status === 'going' || sending.status === 'later') && (
          <Button variant="outline-primary" disabled={!settled} onClick={onTakeBack}>
            Take it back
          </Button>
        )}
        {sending.status === 'taken back' && (
          <Button variant="outline-primary" disabled={!settled} onClick={onWriteOn}>
            Write on
          </Button>
        )}
      </div>
      {sending.trouble && (
        <p className="trouble" role="alert">
          {sending.trouble}
        </p>
      )}
      {held && HOLDS.has(sending.status) && <p className="held-line">{held}</p>}
      {status && COUNTS.has(sending.status) && <StatusPress status={status} />}
      <AfterLinks {...{ next, after, settled }} />
    </div>
  );
}

function StatusWords({ sending: { status, reason, waits }, goes }: { sending: Kept; goes: string }) {
  switch (status) {
    case 'later':
      return (
        <span className="waiting">
          It goes {goes}, filled again as things are then. If anything has changed it waits for you.
        </span>
      );
    case 'going':
      if (waits) return <span className="waiting">It waits. {waits}</span>;
      return reason ? (
        <span className="waiting">
          The mail server cannot take it yet and is asked again. It said: {reason}
        </span>
      ) : (
        <span className="waiting">Going.</span>
      );
    case 'held':
    case 'failed':
    case 'bounced':
    case 'may have arrived':
      return <span className="needs-you">{whatIsKnown({ status, reason: reason ?? null }).join(' ')}</span>;
    case 'taken back':
      return <span className="needs-you">It was taken back.</span>;
    case 'elsewhere':
      return <span className="in-order">Noted: it went another way.</span>;
    default:
      return <span className="in-order">Sent.{reason ? ` ${reason}` : ''}</span>;
  }
}
