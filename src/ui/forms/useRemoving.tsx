'use client';

import { useEffect, useState, type ReactNode } from 'react';
import { useFormContext } from 'react-hook-form';

/** A removal can be undone for so many milliseconds. */
const WHILE = 10_000;

/**
 * Takes pieces out of a form's list; each can be put back for ten seconds.
 * @returns what is said of it, and what takes one out by its place
 */
export function useRemoving(
  list: string,
  remove: (at: number) => void,
  insert: (at: number, piece: never) => void,
): { note: ReactNode; removing: (at: number, called: string) => void } {
  const { getValues } = useFormContext();
  const [gone, setGone] = useState<{ at: number; piece: unknown; called: string }>();
  useEffect(() => {
    if (!gone) return;
    const timer = setTimeout(() => setGone(undefined), WHILE);
    return () => clearTimeout(timer);
  }, [gone]);
  return {
    removing: (at, called) => {
      setGone({ at, piece: getValues(`${list}.${at}`), called });
      remove(at);
    },
    note: (
      <p role="status" className="form-undo">
        {gone && (
          <>
            {gone.called} is out.{' '}
            <button
              type="button"
              className="btn btn-link"
              onClick={() => {
                insert(gone.at, gone.piece as never);
                setGone(undefined);
              }}
            >
              Put back
            </button>
          </>
        )}
      </p>
    ),
  };
}
