'use client';

import { useState } from 'react';
import type { LetterStore } from '../writing/letterStore';
import type { LetterView } from '../writing/letterView';
import { lazyPart } from '../shell/lazyPart';

const WaysOut = lazyPart(() => import('./WaysOut'));

interface Props {
  view: LetterView;
  store: LetterStore;
  /** the letter as a message file; undefined: it was not made, and it is said elsewhere why */
  asFile: () => Promise<Blob | undefined>;
  /** it went another way */
  onElsewhere: () => void;
}

/** The ways out of the door besides sending, once the proof has nothing to say. */
export function OtherWays(props: Props) {
  const [opened, setOpened] = useState(false);
  const mayGo = props.view.marks?.length === 0;
  return (
    <details className="other-ways" onToggle={() => setOpened(true)}>
      <summary>Another way</summary>
      {mayGo ? (
        opened && <WaysOut {...props} />
      ) : (
        <p className="field-help">What the proof says comes first.</p>
      )}
    </details>
  );
}
