'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import type { BroughtKind } from '../../core/bringing/brought';
import { TAKEN_OUT_FOR_DAYS, type BringingState, type ListedBringing } from '../../core/contract/bringing';
import type { Refusal } from '../../core/contract/refusal';
import { askServer } from '../writing/askServer';
import type { KindWords } from './kindWords';

interface Props {
  latest: readonly ListedBringing[];
  /** one that has just been given */
  begun: BringingState | undefined;
  called: Readonly<Record<BroughtKind, KindWords>>;
}

/** How often it is asked how far one has come, in milliseconds. */
const ASK = 700;
/** So many of what stayed are named. */
const NAMED = 20;

/** What was brought in lately: how far it has come, and what takes it out again. */
export function BroughtFiles({ latest, begun, called }: Props) {
  const [now, setNow] = useState<Readonly<Record<string, BringingState>>>({});
  const [trouble, setTrouble] = useState<string>();
  const listed: ListedBringing[] = [
    ...(begun && !latest.some(({ id }) => id === begun.id)
      ? [{ ...begun, note: 'now, by you', canGoOut: true }]
      : []),
    ...latest,
  ];
  const all = listed.map((one) => ({ ...one, ...now[one.id] }));
  const moving = all.filter(({ state }) => state === 'coming' || state === 'going').map(({ id }) => id);
  const asked = moving.join(' ');

  useEffect(() => {
    if (!asked) return;
    let left = false;
    let timer: ReturnType<typeof setTimeout>;
    const look = async () => {
      for (const id of asked.split(' ')) {
        const answer = await askServer<BringingState>(`/api/bringing/${id}`);
        if (left) return;
        if (!('offline' in answer) && answer.status === 200)
          setNow((before) => ({ ...before, [id]: answer.body }));
      }
      timer = setTimeout(() => void look(), ASK);
    };
    timer = setTimeout(() => void look(), ASK / 2);
    return () => {
      left = true;
      clearTimeout(timer);
    };
  }, [asked]);

  async function takeOut(id: string) {
    setTrouble(undefined);
    const answer = await askServer<BringingState & Partial<Refusal>>(`/api/bringing/${id}`, {
      act: 'take out',
    });
    if ('offline' in answer) return setTrouble('There is no connection. Nothing was taken out.');
    if (answer.status !== 200) return setTrouble(answer.body.error);
    setNow((before) => ({ ...before, [id]: answer.body }));
  }

  if (all.length === 0) return null;
  return (
    <section className="form-part" aria-label="Brought in lately">
      <h2>Brought in lately</h2>
      <p className="problem" role="alert">
        {trouble}
      </p>
      <ul className="brought-files">
        {all.map(({ id, name, note, canGoOut, ...one }) => (
          <li key={id}>
            <p>
              <strong>{name}</strong> <span className="entry-note">{note}</span>
            </p>
            <p role="status">{sayState(one, called[one.kind])}</p>
            {(one.state === 'coming' || one.state === 'going') && (
              <progress value={one.done} max={one.total} aria-label={`How far ${name} has come`} />
            )}
            {one.leftOver.length > 0 && (
              <details className="form-more">
                <summary>
                  {one.leftOver.length}{' '}
                  {one.state === 'in' || one.state === 'coming' ? 'stayed out' : 'stayed'}
                </summary>
                <ul>
                  {one.leftOver.slice(0, NAMED).map(({ name: row, message }, i) => (
                    <li key={i}>
                      {row}: {message}
                    </li>
                  ))}
                  {one.leftOver.length > NAMED && <li>and {one.leftOver.length - NAMED} more</li>}
                </ul>
              </details>
            )}
            {one.state === 'in' && (
              <p>
                <Link href={called[one.kind].href} prefetch={false}>
                  Look at the {called[one.kind].many}
                </Link>
                {canGoOut && (
                  <button
                    type="button"
                    className="btn btn-link"
                    aria-label={`Take ${name} out again`}
                    onClick={() => void takeOut(id)}
                  >
                    Take them out again
                  </button>
                )}
              </p>
            )}
          </li>
        ))}
      </ul>
      <p className="field-help">
        For {TAKEN_OUT_FOR_DAYS} days they can be taken out again. What was changed since, or written to,
        stays.
      </p>
    </section>
  );
}

function sayState(
  { state, done, total, leftOver }: Omit<BringingState, 'id' | 'name'>,
  { one, many }: KindWords,
): string {
  const came = done - leftOver.length;
  const words = (count: number) => (count === 1 ? `One ${one} is` : `${count} ${many} are`);
  switch (state) {
    case 'given':
      return 'Its rows are being given.';
    case 'coming':
      return `${done} of ${total} have come in. It goes on if you leave this page.`;
    case 'in':
      return `${words(came)} in.`;
    case 'going':
      return `${done} of ${total} were looked at to be taken out. It goes on if you leave this page.`;
    case 'out':
      return came === 0 ? 'None was taken out.' : `${words(came)} out again.`;
  }
}
