'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { NamedAnswer } from '../../../core/contract/named';
import type { Refusal } from '../../../core/contract/refusal';
import { askServer } from '../../writing/askServer';
import { signInAgain } from '../../writing/useWriting';
import { useTypedWords } from '../useTypedWords';

/** A passage, or a signature, as the server has it. */
interface NamedWords {
  key: string;
  version: number;
  name: string;
  text: string;
}

export interface NamedWriting {
  standing: NamedWords;
  name: string;
  setName: (name: string) => void;
  text: string;
  type: (text: string) => void;
  /** whether its name or its words differ from those that are kept */
  changed: boolean;
  busy: boolean;
  said: { trouble?: string; problems?: readonly string[]; kept?: string };
  keep: () => Promise<void>;
  remove: () => Promise<void>;
  undo: () => void;
  onReady: (flush: () => void) => void;
}

/** Where they are kept and listed. */
const PLACE = {
  passage: 'passages',
  signature: 'signatures',
  letterhead: 'letterhead',
  shorthand: 'shorthand',
} as const;

interface Options {
  /** whose words are kept apart on this device */
  owner: string;
  what: 'passage' | 'signature' | 'letterhead' | 'shorthand';
  words: NamedWords;
  /** what is kept with its words */
  more: object;
  /** what is said when they were kept */
  kept: string;
}

/** Writes on something with a name and words of its own: kept on the device while it is typed, and at the server when that is asked. */
export function useNamedWords({ owner, what, words, more, kept }: Options): NamedWriting {
  const [typed, setTyped] = useTypedWords(owner, `${what} ${words.key}`);
  /** what was kept here, until the server's answer shows it, too */
  const [keptHere, setKeptHere] = useState<NamedWords>();
  const standing = keptHere && keptHere.version > words.version ? keptHere : words;
  const [name, setName] = useState(words.name);
  const [said, setSaid] = useState<NamedWriting['said']>({});
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const text = typed?.text ?? standing.text;
  const now = useRef(text);
  useEffect(() => {
    now.current = text;
  });
  const flush = useRef(() => {});

  const type = useCallback(
    (next: string) => {
      now.current = next;
      setTyped({ version: standing.version, text: next });
    },
    [setTyped, standing.version],
  );

  async function ask(send: object, method: 'POST' | 'DELETE') {
    setBusy(true);
    setSaid({});
    const path = `/api/${PLACE[what]}/${encodeURIComponent(words.key)}`;
    const answer = await askServer<NamedAnswer | Refusal>(path, send, method);
    setBusy(false);
    if ('offline' in answer) {
      setSaid({ trouble: 'There is no connection. Your words are still here; keep them later.' });
      return undefined;
    }
    const { body } = answer;
    if (body.result === 'done') return body;
    if (body.result === undefined && body.signedOut) signInAgain();
    else if (body.result === 'wrong') setSaid({ problems: body.problems });
    else setSaid({ trouble: body.error });
    return undefined;
  }

  return {
    standing,
    name,
    setName,
    text,
    type,
    changed: text !== standing.text || name.trim() !== standing.name,
    busy,
    said,
    async keep() {
      flush.current();
      if (busy) return;
      const written = now.current;
      // What was typed on an older version is told when it is kept.
      const version = typed?.version ?? standing.version;
      const called = what === 'letterhead' ? {} : { name };
      const done = await ask({ version, ...called, text: written, ...more }, 'POST');
      if (!done) return;
      setKeptHere({ key: words.key, version: done.version, name: name.trim(), text: written });
      if (now.current === written) setTyped(undefined);
      setSaid({ kept });
      router.refresh();
    },
    async remove() {
      if (await ask({ version: standing.version }, 'DELETE')) {
        setTyped(undefined);
        router.push(`/templates/${PLACE[what]}`);
        router.refresh();
      }
    },
    undo() {
      flush.current();
      setTyped(undefined);
      setName(standing.name);
    },
    onReady: useCallback((handOver: () => void) => (flush.current = handOver), []),
  };
}
