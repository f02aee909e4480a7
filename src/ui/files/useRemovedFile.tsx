'use client';

import { useEffect, useState, type ReactNode } from 'react';
import type { FileChanged } from '../../core/contract/files';
import type { Refusal } from '../../core/contract/refusal';
import { askServer } from '../writing/askServer';

/** It can be put back for so many milliseconds. */
const WHILE = 10_000;

/** What is asked of a file that is there. @returns its name as it is kept, or what is wrong */
export async function changeFile(
  address: string,
  change: { name: string } | { removed: boolean },
): Promise<{ name: string } | { trouble: string }> {
  const answer = await askServer<FileChanged | Refusal>(address, change);
  if ('offline' in answer) return { trouble: 'There is no connection. Nothing has changed.' };
  const { body } = answer;
  return body.result === 'done' ? { name: body.name } : { trouble: body.error };
}

/**
 * Removes files; each can be put back for ten seconds.
 * @returns what is said of it, and what removes one
 */
export function useRemovedFile<One extends { name: string }>(
  addressOf: (file: One) => string,
  on: { removed: (file: One) => void; back: (file: One) => void },
): { note: ReactNode; remove: (file: One) => Promise<void> } {
  const [gone, setGone] = useState<One>();
  const [trouble, setTrouble] = useState<string>();
  useEffect(() => {
    if (!gone) return;
    const timer = setTimeout(() => setGone(undefined), WHILE);
    return () => clearTimeout(timer);
  }, [gone]);

  async function set(file: One, removed: boolean) {
    setTrouble(undefined);
    const changed = await changeFile(addressOf(file), { removed });
    if ('trouble' in changed) return setTrouble(changed.trouble);
    setGone(removed ? file : undefined);
    if (removed) on.removed(file);
    else on.back(file);
  }

  return {
    remove: (file) => set(file, true),
    note: (
      <>
        <p role="status" className="form-undo">
          {gone && (
            <>
              {gone.name} is removed. {/* What was pressed is gone with the file. */}
              <button type="button" className="btn btn-link" autoFocus onClick={() => void set(gone, false)}>
                Put back
              </button>
            </>
          )}
        </p>
        <p className="problem" role="alert">
          {trouble}
        </p>
      </>
    ),
  };
}
