'use client';

import { useEffect, useRef, useState } from 'react';
import type { LetterStatus, LetterToSend, SendAnswer } from '../../core/contract/letters';
import type { Refusal } from '../../core/contract/refusal';
import type { ChangedFact } from '../../core/writing/factsOf';
import { factsOf } from '../../core/writing/factsOf';
import type { CopyDocument } from '../../core/document/copyDocument';
import { askForFile, askServer, type Answer } from './askServer';
import { askToTakeBack } from './askToTakeBack';
import { dropDraft } from './drafts';
import type { Writing } from './useWriting';

export type Handover = { state: 'writing'; problem?: Obstacle } | { state: 'handing over' } | Kept;

/** A letter that the server has. */
export interface Kept {
  state: 'kept';
  /** the id under which the server has it */
  letter: string;
  status: string;
  reason?: string | null;
  /** by this device's clock */
  goesAt?: number;
  /** why it has not gone though its time has come */
  waits?: string;
  already?: boolean;
  /** why it could not be taken back */
  trouble?: string;
}

export type Obstacle =
  | { kind: 'signed out' | 'offline' }
  | { kind: 'changed'; changed: ChangedFact[] }
  | { kind: 'refused'; words: string[] };

const WATCHED = 1000;

const NOT_REACHED =
  'There is no connection: it has not been taken back, and goes when its time comes. Press again when you are back.';
const NOT_ANSWERED = 'The server did not answer: it has not been taken back. Press again.';
const TOO_LATE = 'It was too late to take it back: it has gone.';

/** Hands the letter to the server, and follows what becomes of it. */
export function useSending({ store, draft, draftKey }: Writing, from: string) {
  const [sending, setSending] = useState<Handover>({ state: 'writing' });
  // A second press while the first is on its way is none.
  const busy = useRef(false);

  /** The letter as it is given to the server; undefined as long as the proof has something to say. */
  function given(): (LetterToSend & { document: CopyDocument }) | undefined {
    const now = store.now();
    if (!now || store.marks().length) return undefined;
    const { choices, document, filled } = now;
    const versionOf = (key: string) => store.desk.template(key)!.version;
    const putIn = choices.putIn?.map((one) => ({ ...one, version: versionOf(one.template) }));
    return {
      document,
      id: draft.id,
      from,
      templateVersion: versionOf(choices.template),
      choices: { ...choices, ...(putIn ? { putIn } : {}) },
      facts: factsOf(filled),
    };
  }

  /** Hands it over to be sent; or has it noted, when it went another way. Gives what the server has, once it has it. */
  async function send(
    path: '/api/letters' | '/api/letters/elsewhere' = '/api/letters',
  ): Promise<Kept | undefined> {
    const letter = given();
    if (busy.current || !letter) return undefined;
    busy.current = true;
    setSending({ state: 'handing over' });
    const answer = await askServer<SendAnswer | Refusal>(path, letter);
    busy.current = false;
    const now = next(answer, draft.id);
    setSending(now);
    if (now.state !== 'kept') return undefined;
    await dropDraft(draftKey, draft.id);
    return now;
  }

  const letter = sending.state === 'kept' && isOpen(sending.status) ? sending.letter : undefined;
  useEffect(() => {
    if (!letter) return;
    const timer = setInterval(() => {
      void askServer<LetterStatus>(`/api/letters/${letter}`).then((answer) => {
        if ('offline' in answer || answer.status !== 200) return;
        const { status, reason, goesIn, waits } = answer.body;
        setSending((now) =>
          now.state === 'kept' && now.letter === letter
            ? { ...now, status, reason, waits, ...goesAt(goesIn) }
            : now,
        );
      });
    }, WATCHED);
    return () => clearInterval(timer);
  }, [letter]);

  async function takeBack(): Promise<boolean> {
    if (sending.state !== 'kept') return false;
    const answer = await askToTakeBack(sending.letter);
    const status = typeof answer === 'string' ? undefined : answer.status;
    // The page stays closed until there is a new letter to write on.
    if (status) setSending({ ...sending, status, ...(status === 'taken back' ? {} : { trouble: TOO_LATE }) });
    else setSending({ ...sending, trouble: answer === 'offline' ? NOT_REACHED : NOT_ANSWERED });
    return status === 'taken back';
  }

  /** The letter as a message file; undefined: it was not made, and it is said why. */
  async function asFile(): Promise<Blob | undefined> {
    const letter = given();
    if (!letter) return undefined;
    const answer = await askForFile('/api/letters/file', letter);
    if ('file' in answer) return answer.file;
    setSending(next(answer as Answer<SendAnswer | Refusal>, draft.id));
    return undefined;
  }

  return { sending, send, takeBack, asFile };
}

function goesAt(goesIn: number | null): { goesAt?: number } {
  return goesIn === null ? {} : { goesAt: Date.now() + goesIn };
}

/** Whether something may still become of it. */
function isOpen(status: string): boolean {
  return status === 'going';
}

function next(answer: Answer<SendAnswer | Refusal>, id: string): Handover {
  if ('offline' in answer) return { state: 'writing', problem: { kind: 'offline' } };
  const { body } = answer;
  switch (body.result) {
    case 'going':
      return { state: 'kept', letter: id, status: 'going', ...goesAt(body.goesIn) };
    case 'later':
      return { state: 'kept', letter: id, status: 'later' };
    case 'noted':
      return { state: 'kept', letter: id, status: 'elsewhere' };
    case 'already':
      return {
        state: 'kept',
        letter: id,
        status: body.status,
        already: true,
        ...goesAt(body.goesIn),
      };
    case 'changed':
      return { state: 'writing', problem: { kind: 'changed', changed: body.changed } };
    case 'stopped':
      return { state: 'writing', problem: { kind: 'refused', words: body.stops } };
    case 'gone':
      return {
        state: 'writing',
        problem: { kind: 'refused', words: [`The ${body.what} is no longer there.`] },
      };
    default:
      return {
        state: 'writing',
        problem: body.signedOut ? { kind: 'signed out' } : { kind: 'refused', words: [body.error] },
      };
  }
}
