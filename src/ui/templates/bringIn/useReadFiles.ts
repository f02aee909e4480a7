'use client';

import { useEffect, useRef, useState } from 'react';
import { MOST_BROUGHT, type ReadTemplates } from '../../../core/contract/bringTemplates';
import type { Refusal } from '../../../core/contract/refusal';
import { LARGEST_TEMPLATES, tooLargeTemplates } from '../../../core/files/limits';
import { sendBytes } from '../../files/sendBytes';
import { signInAgain } from '../../writing/useWriting';

export interface ReadingFiles {
  /** what was read so far; absent: nothing yet */
  read: ReadTemplates | undefined;
  /** the file that is being read, and how much of it has arrived, from 0 to 1 */
  reading: { name: string; share: number } | undefined;
  /** what could not be read, in lines */
  trouble: readonly string[];
  open: (file: File) => void;
  close: () => void;
}

/** Has files with templates read by the server, one after the other; what one of them holds joins what was read before. */
export function useReadFiles(): ReadingFiles {
  const [read, setRead] = useState<ReadTemplates>();
  const [reading, setReading] = useState<ReadingFiles['reading']>();
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const turn = useRef<Promise<void>>(Promise.resolve());
  const stop = useRef(new AbortController());
  useEffect(() => () => stop.current.abort(), []);

  async function readOne(file: File, { signal }: AbortController) {
    if (signal.aborted) return;
    const says = (line: string) => setTrouble((before) => [...before, line]);
    // A larger one is not even sent.
    if (file.size > LARGEST_TEMPLATES) return says(`${file.name}: ${tooLargeTemplates(file.size)}`);
    setReading({ name: file.name, share: 0 });
    const answer = await sendBytes<ReadTemplates | Refusal>(
      `/api/templates/foreign?name=${encodeURIComponent(file.name)}`,
      file,
      { share: (share) => setReading({ name: file.name, share }), signal },
    );
    if (signal.aborted) return;
    setReading(undefined);
    if ('offline' in answer) return says(`${file.name}: There is no connection. It was not read.`);
    const { body } = answer;
    if (!body) return says(`${file.name}: The server did not answer properly. It was not read.`);
    if ('error' in body) {
      if ('signedOut' in body && body.signedOut) return signInAgain();
      return setTrouble((before) => [...before, ...body.error.split('\n')]);
    }
    setRead((before) => joined(before, body));
  }

  return {
    read,
    reading,
    trouble,
    open: (file) => {
      setTrouble([]);
      const { current } = stop;
      turn.current = turn.current.then(() => readOne(file, current));
    },
    close: () => {
      stop.current.abort();
      stop.current = new AbortController();
      setRead(undefined);
      setReading(undefined);
      setTrouble([]);
    },
  };
}

function joined(before: ReadTemplates | undefined, more: ReadTemplates): ReadTemplates {
  const templates = [...(before?.templates ?? []), ...more.templates];
  const over = templates.slice(MOST_BROUGHT).map(({ file }) => ({
    file,
    why: `At most ${MOST_BROUGHT} templates are brought in at once: bring it in afterwards.`,
  }));
  return {
    templates: templates.slice(0, MOST_BROUGHT),
    passages: [...(before?.passages ?? []), ...more.passages],
    left: [...(before?.left ?? []), ...more.left, ...over],
  };
}
