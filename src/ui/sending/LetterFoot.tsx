'use client';

import Button from 'react-bootstrap/Button';
import type { ProofMark } from '../../core/proof/proofMark';
import { readMoment } from '../../core/dates/zone';
import { laterInWords } from '../../core/writing/laterMoments';
import { statusAfter } from '../../core/occasions/statusAfter';
import { nameRecipient } from '../../core/describe/nameRecord';
import { heldInWords } from '../writing/HeldDaysLine';
import { LetterGone } from './LetterGone';
import { LetterWaits } from './LetterWaits';
import type { LetterStore } from '../writing/letterStore';
import type { LetterView } from '../writing/letterView';
import type { NextLetter } from './nextLetter';
import { OtherWays } from './OtherWays';
import { SendLater } from './SendLater';
import { ProofMarks } from '../writing/ProofMarks';
import type { Obstacle, Handover } from './handover';

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
  /** where the letter will be found */
  after: { href: string; words: string };
  /** the letter to read next */
  next: NextLetter | undefined;
  /** sends it and goes to that one; absent: it is not one of several */
  onSendAndNext?: (() => void) | undefined;
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
  next,
  onSendAndNext,
}: Props) {
  if (sending.state === 'on the shelf')
    return <LetterWaits to={sending.to} {...{ onTakeBack, after, next }} />;
  if (sending.state === 'kept') {
    const goes = whenItGoes(view, store) ?? '';
    const status = statusAfter(view.filled.template.head.action?.act, view.filled.situation);
    const holds = view.choices.notHeld ? undefined : view.holds;
    const held = holds && heldInWords(holds, store.desk.book);
    return <LetterGone {...{ sending, goes, held, onTakeBack, onWriteOn, after, status, next }} />;
  }
  const { marks } = view;
  const busy = sending.state === 'handing over';
  const isAside = sending.state === 'handing over' && sending.aside;
  const goes = whenItGoes(view, store);
  return (
    <div className="letter-foot">
      {sending.state === 'writing' && sending.problem && (
        <Trouble problem={sending.problem} onRefresh={onRefresh} onSignIn={onSignIn} />
      )}
      <ProofMarks marks={marks ?? []} store={store} onGo={onGo} />
      <div className="foot-line">
        <Button
          variant={marks?.length ? 'outline-primary' : 'primary'}
          onClick={onSend}
          disabled={busy || !marks}
          title="Ctrl or Cmd + Enter"
        >
          {busy ? 'Sending …' : goes ? `Send ${goes}` : 'Send'}
        </Button>
        {next && onSendAndNext && (
          <Button
            variant="outline-primary"
            onClick={onSendAndNext}
            disabled={busy || !marks}
            title="Ctrl or Cmd + Shift + Enter"
            aria-describedby="next-letter"
          >
            Send and read the next
          </Button>
        )}
        <p className="foot-words">
          to {addressee(view)}
          <span role="status" className={isAside ? 'waiting' : marks?.length ? 'needs-you' : 'in-order'}>
            {isAside
              ? 'No answer yet. It is kept on this device and goes by itself.'
              : marks && (marks.length ? `Waits for ${counted(marks)}` : 'Proof: nothing in the way')}
          </span>
        </p>
        {next && onSendAndNext && (
          <p id="next-letter" className="next-letter">
            Next: {next.name}, “{next.template.name}”
          </p>
        )}
        <SendLater store={store} goesAt={view.choices.goesAt} />
        {!goes && <OtherWays {...{ view, store, asFile, onElsewhere }} />}
      </div>
    </div>
  );
}

/** "tomorrow at 08:00", where it is for later */
function whenItGoes({ choices: { goesAt = '' } }: LetterView, { desk }: LetterStore): string | undefined {
  const moment = readMoment(goesAt);
  return moment === undefined ? undefined : laterInWords(moment, desk.book);
}

/** "1 stop and 2 queries" */
function counted(marks: readonly ProofMark[]): string {
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
