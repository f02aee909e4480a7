'use client';

import { useState } from 'react';
import type { ShownLetter } from '../../core/contract/letters';
import { LetterFrame } from './LetterFrame';

/** A message in the form that its sender gave it: nothing in it runs, and no picture is fetched before that is asked for. */
export function AsItCame({ letter: { id, subject } }: { letter: Pick<ShownLetter, 'id' | 'subject'> }) {
  const [shown, setShown] = useState(false);
  const [pictures, setPictures] = useState(false);
  if (!shown)
    return (
      <button type="button" className="btn btn-link as-it-came" onClick={() => setShown(true)}>
        Show it as it was made
      </button>
    );
  return (
    <div className="as-it-came">
      <p>
        <button type="button" className="btn btn-link" onClick={() => setShown(false)}>
          Its words alone
        </button>
        {!pictures && (
          <button type="button" className="btn btn-link" onClick={() => setPictures(true)}>
            With its pictures from elsewhere
          </button>
        )}
      </p>
      {!pictures && (
        <p className="entry-note">Pictures from elsewhere would tell its sender that it has been read.</p>
      )}
      <LetterFrame key={String(pictures)} id={id} title={`As it was made: ${subject}`} pictures={pictures} />
    </div>
  );
}
