'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useSyncExternalStore, type ComponentProps } from 'react';
import type { LetterForTemplate } from '../../../core/contract/fromLetter';
import { FromLetter } from './FromLetter';
import { handedOver } from './handedOver';

/** The letter that is being written, on its way to a template; it is gone back to where it was left. */
export function WrittenLetter(props: Omit<ComponentProps<typeof FromLetter>, 'letter' | 'onBack'>) {
  const router = useRouter();
  const letter = useSyncExternalStore(NEVER_CHANGES, oneReading, () => undefined);
  if (letter === undefined) return <p className="hint">Opening the letter …</p>;
  if (letter === null)
    return (
      <p className="hint">
        The letter is open in another tab, or was closed. <Link href="/today">Go to Today</Link>, and open it
        again from there.
      </p>
    );
  return <FromLetter {...props} letter={letter} back="The letter" onBack={() => router.back()} />;
}

const NEVER_CHANGES = () => () => {};

let read: LetterForTemplate | null | undefined;
let readAt = '';

/** The same object for the same letter. */
function oneReading(): LetterForTemplate | null {
  const letter = handedOver() ?? null;
  const now = JSON.stringify(letter);
  if (read === undefined || now !== readAt) [read, readAt] = [letter, now];
  return read;
}
