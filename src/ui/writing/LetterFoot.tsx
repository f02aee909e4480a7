'use client';

import Link from 'next/link';
import { useEffect, useState, type MouseEvent } from 'react';
import Button from 'react-bootstrap/Button';
import { whatIsKnown } from '../../core/cures/cures';
import { nameRecipient } from '../../core/describe/nameRecord';
import type { LetterStore, LetterView } from './letterStore';
import { OtherWays } from './OtherWays';
import { ProofMarks } from './ProofMarks';
import type { Obstacle, Handover } from './useSending';

interface Props {
  view: LetterView;
  store: LetterStore;
  sending: Handover;
  onSend: () => void;
  /** the letter as a message file */
  asFile: () => Promise<Blob | undefined>;
  /** it went another way */
  onElsewhere: () => void;
  onTakeBack: () => void;
  /** begins a new letter with the words of the one that was taken back */
  onWriteOn: () => void;
  /** goes to the place of a hole */
  onGo: (hole: string) => void;
  onRefresh: () => void;
  onSignIn: () => void;
  /** where the letter will be found, and what to do next */
  after: { href: string; words: string };
}

/** Where a letter is signed off: what the proof says, and the one main button. */
export function LetterFoot({
  view,
  store,
  sending,
  onSend,
  asFile,
  onElsewhere,
  onTakeBack,
  onWriteOn,
  onGo,
  onRefresh,
  onSignIn,
  after,
}: Props) {
  if (sending.state === 'kept') return <Gone {...{ sending, onTakeBack, onWriteOn, after }} />;
  const { marks } = view;
  const busy = sending.state === 'handing over';
  return (
    <div className="letter-foot">
      {sending.state === 'writing' && sending.problem && (
        <Trouble problem={sending.problem} onRefresh={onRefresh} onSignIn={onSignIn} />
      )}
      <ProofMarks marks={marks} store={store} onGo={onGo} />
      <div className="foot-line">
        <Button
          variant={marks.length ? 'outline-primary' : 'primary'}
          onClick={onSend}
          disabled={busy}
          title="Ctrl or Cmd + Enter"
        >
          {busy ? 'Sending …' : 'Send'}
        </Button>
        <p className="foot-words">
          to {addressee(view)}
          <span role="status" className={marks.length ? 'needs-you' : 'in-order'}>
            {marks.length ? `Waits for ${counted(marks)}` : 'Proof: nothing in the way'}
          </span>
        </p>
        <OtherWays {...{ view, store, asFile, onElsewhere }} />
      </div>
    </div>
  );
}

/** "1 stop and 2 queries" */
function counted(marks: LetterView['marks']): string {
  const stops = marks.filter(({ kind }) => kind === 'stop').length;
  const queries = marks.length - stops;
  return [
    stops && `${stops} ${stops === 1 ? 'stop' : 'stops'}`,
    queries && `${queries} ${queries === 1 ? 'query' : 'queries'}`,
  ]
    .filter(Boolean)
    .join(' and ');
}

function addressee({ filled }: LetterView): string {
  const names = filled.situation.recipients.map(({ record }) => nameRecipient(record).name);
  return names.join(' and ') || 'nobody yet';
}

function Trouble({
  problem,
  onRefresh,
  onSignIn,
}: {
  problem: Obstacle;
  onRefresh: () => void;
  onSignIn: () => void;
}) {
  switch (problem.kind) {
    case 'offline':
      return (
        <p className="trouble" role="alert">
          There is no connection. The letter is kept on this device; send it when you are back.
        </p>
      );
    case 'signed out':
      return (
        <p className="trouble" role="alert">
          You have been signed out. What you wrote is kept on this device.{' '}
          <button type="button" className="btn btn-link" onClick={onSignIn}>
            Sign in again
          </button>
        </p>
      );
    case 'refused':
      return (
        <div className="trouble" role="alert">
          {problem.words.map((words) => (
            <p key={words}>{words}</p>
          ))}
        </div>
      );
    case 'changed':
      return (
        <div className="trouble" role="alert">
          <p>It has not been sent: something changed since you began.</p>
          <ul>
            {problem.changed.map(({ label, now }) => (
              <li key={`${label} ${now}`}>{label === undefined ? now : `${label} is now ${now}`}</li>
            ))}
          </ul>
          <button type="button" className="btn btn-link" onClick={onRefresh}>
            Bring the letter up to date
          </button>
        </div>
      );
  }
}

function Gone({
  sending,
  onTakeBack,
  onWriteOn,
  after,
}: Pick<Props, 'onTakeBack' | 'onWriteOn' | 'after'> & { sending: Extract<Handover, { state: 'kept' }> }) {
  const settled = useSettled();
  const unlessTwice = (event: MouseEvent) => {
    if (!settled) event.preventDefault();
  };
  const seconds = useSecondsUntil(sending.status === 'going' ? sending.goesAt : undefined);
  return (
    <div className="letter-foot">
      {sending.already && (
        <p className="trouble">This letter was already given to be sent. It goes only once.</p>
      )}
      <div className="foot-line">
        <p className="foot-words" role="status">
          <StatusWords sending={sending} />
          {sending.status === 'going' && seconds > 0 && <span aria-hidden="true"> In {seconds} s.</span>}
        </p>
        {sending.status === 'going' && (
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
      <div className="foot-line foot-links">
        <Link href={after.href} onClick={unlessTwice}>
          {after.words}
        </Link>
        <Link href="/today" onClick={unlessTwice}>
          Back to Today
        </Link>
      </div>
    </div>
  );
}

function StatusWords({
  sending: { status, reason, waits },
}: {
  sending: Extract<Handover, { state: 'kept' }>;
}) {
  switch (status) {
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

function useSecondsUntil(moment: number | undefined): number {
  const [seconds, setSeconds] = useState(() => secondsUntil(moment));
  useEffect(() => {
    setSeconds(secondsUntil(moment));
    if (moment === undefined) return;
    const timer = setInterval(() => setSeconds(secondsUntil(moment)), 250);
    return () => clearInterval(timer);
  }, [moment]);
  return seconds;
}

function secondsUntil(moment: number | undefined): number {
  return moment === undefined ? 0 : Math.max(0, Math.ceil((moment - Date.now()) / 1000));
}

/** A second press on what stood here a moment ago is none on what stands here now: milliseconds. */
const SETTLES = 600;

function useSettled(): boolean {
  const [settled, setSettled] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(true), SETTLES);
    return () => clearTimeout(timer);
  }, []);
  return settled;
}
