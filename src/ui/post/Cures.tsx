'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { CureAnswer, CureRequest } from '../../core/contract/cures';
import type { ShownLetter } from '../../core/contract/letters';
import { curesOf, isWrittenAnew, type Cure, type OfferedCure, type Undo } from '../../core/cures/cures';
import { askServer } from '../writing/askServer';
import { writePath } from '../../core/writing/writePath';
import { answerPath } from './answerPath';
import { fromWhom, toWhom } from './otherSide';
import { holdPage } from './heldPage';
import { MakeEnquiry } from './MakeEnquiry';
import { TakeBack } from './TakeBack';
import { WriteOn } from './WriteOn';

interface Props {
  letter: ShownLetter;
  /** on the letter's own page, which shows what came of it; in a list, it stays where it was until one leaves */
  onPage?: boolean;
  /** hears the state that a cure has led to */
  onStatus?: (status: string) => void;
}

/** What can be done about a letter that did not go as it should. */
export function Cures({ letter, onPage = false, onStatus }: Props) {
  const router = useRouter();
  const [now, setNow] = useState({ status: letter.status, version: letter.version });
  const [done, setDone] = useState<OfferedCure>();
  const [trouble, setTrouble] = useState<string>();
  const [busy, setBusy] = useState(false);
  // The page may have been told of a later state meanwhile.
  const { status, version } = letter.version > now.version ? letter : now;
  const canBeUndone = done !== undefined && (done.undo !== undefined || status === 'going');
  useEffect(() => (canBeUndone ? holdPage() : undefined), [canBeUndone]);

  async function ask(cure: Cure | Undo, then: OfferedCure | undefined) {
    setTrouble(undefined);
    setBusy(true);
    const answer = await askServer<CureAnswer>(`/api/letters/${letter.id}/cure`, {
      cure,
      version,
    } satisfies CureRequest);
    setBusy(false);
    if ('offline' in answer) return setTrouble('There is no connection. Nothing has changed.');
    const { body } = answer;
    if (body.error !== undefined) return setTrouble(body.error);
    setNow({ status: body.status, version: body.version });
    setDone(then);
    onStatus?.(body.status);
    // What can be undone stays, with the way to undo it.
    if (onPage && !then?.undo) router.refresh();
  }

  return (
    <div className="cures">
      {done ? (
        <>
          <p role="status">
            {done.done}{' '}
            {done.undo && (
              <button
                type="button"
                className="btn btn-link"
                disabled={busy}
                onClick={() => void ask(done.undo!, undefined)}
              >
                Undo
              </button>
            )}
          </p>
          {status === 'going' && <TakeBack id={letter.id} going />}
        </>
      ) : (
        <p
          className="cure-actions"
          role="group"
          aria-label={`What to do about: ${letter.subject}, ${letter.direction === 'in' ? `from ${fromWhom(letter)}` : `to ${toWhom(letter)}`}`}
        >
          {letter.triedLong && <TakeBack id={letter.id} going />}
          {letter.waits && letter.from_address && (
            <Link href={answerPath(letter)} prefetch={false} className="btn btn-outline-primary">
              Answer
            </Link>
          )}
          {letter.waits && letter.client_key && (
            <Link href={bookingPath(letter)} prefetch={false} className="btn btn-link">
              New booking
            </Link>
          )}
          {letter.waits && !letter.client && !letter.about && <MakeEnquiry id={letter.id} />}
          {isWrittenAnew(status) && (
            <Link href={anew(letter)} prefetch={false} className="btn btn-outline-primary">
              Write it anew
            </Link>
          )}
          {letter.canBeWrittenOn && status === letter.status && <WriteOn id={letter.id} />}
          {curesOf({ ...letter, status }).map((cure) => (
            <button
              key={cure.cure}
              type="button"
              className={
                cure.cure === 'settle' || cure.cure === 'drop' ? 'btn btn-link' : 'btn btn-outline-primary'
              }
              disabled={busy}
              onClick={() => void ask(cure.cure, cure)}
            >
              {cure.words}
            </button>
          ))}
        </p>
      )}
      {trouble && (
        <p className="problem" role="alert">
          {trouble}
        </p>
      )}
    </div>
  );
}

/** The writing page with the same template for the same record. */
function anew({ about, client_key, template_key }: ShownLetter): string {
  const from = about ? `${about.kind}:${about.key}` : `client:${client_key ?? ''}`;
  return writePath(from, template_key ?? undefined);
}

/** What somebody asks for is written down for them, with the job that they write about. */
function bookingPath({ client_key, about }: ShownLetter): string {
  const from =
    about?.kind === 'project' || about?.kind === 'enquiry' ? about : { kind: 'client', key: client_key! };
  return `/work/bookings/new?${from.kind}=${encodeURIComponent(from.key)}`;
}
