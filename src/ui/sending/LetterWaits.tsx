'use client';

import Button from 'react-bootstrap/Button';
import { AfterLinks } from './AfterLinks';
import type { NextLetter } from './nextLetter';
import type { GivenTo } from './shelf';
import { useSettled } from './useSettled';

interface Props {
  /** where it is given then */
  to: GivenTo;
  /** it is written on */
  onTakeBack: () => void;
  after: { href: string; words: string };
  next: NextLetter | undefined;
}

/** A letter that was sent without a connection, and what happens to it. */
export function LetterWaits({ to, onTakeBack, after, next }: Props) {
  const settled = useSettled();
  return (
    <div className="letter-foot">
      <div className="foot-line">
        <p className="foot-words" role="status">
          <span className="waiting">
            {to === '/api/letters'
              ? 'There is no connection. It waits on this device, and goes when Fair Quill is open here with a connection: once, and only if nothing in it has changed by then.'
              : 'There is no connection. It waits on this device, and is noted with the client when Fair Quill is open here with a connection.'}
          </span>
        </p>
        <Button variant="outline-primary" disabled={!settled} onClick={onTakeBack}>
          Take it back
        </Button>
      </div>
      <AfterLinks {...{ next, after, settled }} />
    </div>
  );
}
