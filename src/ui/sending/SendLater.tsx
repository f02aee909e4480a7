'use client';

import { useRef, useState } from 'react';
import { lazyPart } from '../shell/lazyPart';
import type { LetterStore } from '../writing/letterStore';

const Moments = lazyPart(() => import('./Moments'));

interface Props {
  store: LetterStore;
  /** when the letter goes; absent: now */
  goesAt: string | undefined;
}

/** Chooses when a letter goes, by the business's clock: the page fills as it will be read then. */
export function SendLater({ store, goesAt }: Props) {
  const details = useRef<HTMLDetailsElement>(null);
  const [opened, setOpened] = useState(false);
  const choose = (at: string | undefined) => {
    details.current!.open = false;
    details.current!.querySelector('summary')?.focus();
    store.choose({ goesAt: at });
  };
  return (
    <details className="other-ways send-later" ref={details} onToggle={() => setOpened(true)}>
      <summary>{goesAt === undefined ? 'Later' : 'Another time'}</summary>
      {opened && <Moments store={store} onChoose={choose} />}
      {goesAt !== undefined && (
        <button type="button" className="btn btn-link" onClick={() => choose(undefined)}>
          Not later: now
        </button>
      )}
    </details>
  );
}
