'use client';

import { useEffect, useRef, useState } from 'react';
import type { LetterStatus, SendAnswer } from '../../core/contract/letters';
import type { Refusal } from '../../core/contract/refusal';
import { factsOf } from '../../core/writing/factsOf';
import { dropDraft } from '../drafts/drafts';
import { askForFile, askServer, type Answer } from '../writing/askServer';
import type { Writing } from '../writing/useWriting';
import { shelvedPath } from '../../core/writing/writePath';
import { askToTakeBack } from './askToTakeBack';
import { goesAt, handoverOf, type Handover, type Kept } from './handover';
import { setAside } from './setAside';
import {
  noteOnShelf,
  onShelf,
  PATIENCE,
  shelve,
  shelved,
  takeOffShelf,
  type GivenLetter,
  type GivenTo,
  type ShelvedLetter,
} from './shelf';

const WATCHED = 1000;
/** So many milliseconds the server is waited for meanwhile. */
const ANSWERED = 5_000;

const NOT_REACHED =
  'There is no connection: it has not been taken back, and goes when its time comes. Press again when you are back.';
const NOT_ANSWERED = 'The server did not answer: it has not been taken back. Press again.';
const TOO_LATE = 'It was too late to take it back: it has gone.';

/**
 * Hands the letter to the server, or puts it on the shelf where there is no connection; and follows what becomes of it.
 * @param from `invoice:LPC-1048`
 * @param name whom it is to
 */
export function useSending(
  { store, draft, draftKey, owner, onShelf: before }: Writing,
  from: string,
  name: string,
) {
  const [sending, setSending] = useState<Handover>(() => onTheShelf(before) ?? { state: 'writing' });
  // A second press while the first is on its way is none.
  const busy = useRef(false);
  // Whoever has gone on to another page stays there.
  const left = useRef(false);
  useEffect(() => {
    left.current = false;
    return () => void (left.current = true);
  }, []);

  /** The letter as it is given to the server; undefined as long as the proof has something to say. */
  function letterToGive(): GivenLetter | undefined {
    const now = store.now();
    if (!now || store.marks()?.length !== 0) return undefined;
    const { choices, document, filled } = now;
    const versionOf = (key: string) => store.desk.template(key)!.version;
    const putIn = choices.putIn?.map((one) => ({ ...one, version: versionOf(one.template) }));
    return {
      document,
      id: draft.id,
      writer: owner,
      from,
      templateVersion: versionOf(choices.template),
      choices: { ...choices, ...(putIn ? { putIn } : {}) },
      facts: factsOf(filled),
    };
  }

  /** Hands it over to be sent; or has it noted, when it went another way. Gives what the server has, once it has it. */
  async function send(path: GivenTo = '/api/letters'): Promise<Kept | undefined> {
    const letter = letterToGive();
    if (busy.current || !letter) return undefined;
    busy.current = true;
    setSending({ state: 'handing over' });
    const endAside = setAside(async () => {
      const isAside = await putOnShelf(path, letter);
      if (isAside) setSending((now) => (now.state === 'handing over' ? { ...now, aside: true } : now));
      return isAside;
    });
    const answer = await askServer<SendAnswer | Refusal>(path, letter, 'POST', PATIENCE);
    const isAside = await endAside();
    busy.current = false;
    // From the shelf it may have been given meanwhile.
    const given = 'offline' in answer ? (await shelved(draft.id))?.kept : undefined;
    if ('offline' in answer && !given && (await putOnShelf(path, letter))) {
      setSending({ state: 'on the shelf', to: path });
      return undefined;
    }
    const now = given ?? handoverOf(answer, draft.id);
    setSending(now);
    if (now.state !== 'kept') {
      if (isAside) await takeOffShelf(draft.id);
      return undefined;
    }
    await Promise.all([dropDraft(draftKey, draft.id), takeOffShelf(draft.id)]);
    return now;
  }

  /** Keeps it here until there is a connection; false: this device keeps nothing. */
  async function putOnShelf(to: GivenTo, letter: GivenLetter): Promise<boolean> {
    const href = shelvedPath(from, letter.choices.template, letter.id);
    try {
      await shelve({ owner, to, letter, name, href, draftKey, at: Date.now() });
    } catch {
      return false;
    }
    if (!left.current) window.history.replaceState(null, '', href);
    return true;
  }

  // Whichever page of this device gives it, what came of it is told here.
  const waits = sending.state === 'on the shelf';
  useEffect(() => {
    if (!waits) return;
    const look = () =>
      void shelved(draft.id).then((now) => {
        const state = onTheShelf(now);
        if (state && state.state !== 'on the shelf') setSending(state);
        if (now?.kept) void takeOffShelf(draft.id);
      });
    // It may have been given since the page has read it.
    look();
    return onShelf(look);
  }, [waits, draft.id]);

  const letter = sending.state === 'kept' && isOpen(sending.status) ? sending.letter : undefined;
  useEffect(() => {
    if (!letter) return;
    // One at a time: those that are not answered would keep a press on “Take it back” from leaving.
    let asking = false;
    const look = async () => {
      if (asking) return;
      asking = true;
      const answer = await askServer<LetterStatus>(`/api/letters/${letter}`, undefined, 'GET', ANSWERED);
      asking = false;
      if ('offline' in answer || answer.status !== 200) return;
      const { status, reason, goesIn, waits } = answer.body;
      setSending((now) =>
        now.state === 'kept' && now.letter === letter
          ? { ...now, status, reason, waits, ...goesAt(goesIn) }
          : now,
      );
    };
    const timer = setInterval(() => void look(), WATCHED);
    return () => clearInterval(timer);
  }, [letter]);

  async function takeBack(): Promise<boolean> {
    if (sending.state === 'on the shelf') {
      await noteOnShelf(draft.id, { takenBack: true });
      await dropDraft(draftKey, draft.id);
      return true;
    }
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
    const letter = letterToGive();
    if (!letter) return undefined;
    const answer = await askForFile('/api/letters/file', letter);
    if ('file' in answer) return answer.file;
    setSending(handoverOf(answer as Answer<SendAnswer | Refusal>, draft.id));
    return undefined;
  }

  return { sending, send, takeBack, asFile };
}

/** Whether something may still become of it. */
function isOpen(status: string): boolean {
  return status === 'going';
}

/** How far a letter is that is on the shelf; undefined: it is not, or its writer has taken it back. */
function onTheShelf(letter: ShelvedLetter | undefined): Handover | undefined {
  if (!letter || letter.takenBack) return undefined;
  if (letter.kept) return letter.kept;
  return letter.refused
    ? { state: 'writing', problem: letter.refused }
    : { state: 'on the shelf', to: letter.to };
}
