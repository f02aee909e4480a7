'use client';

import { useState } from 'react';
import { clearFilesHere } from '../bringing/fileHere';
import { clearKeptHere } from '../forms/keptHere';
import { clearTypedWords } from '../templates/useTypedWords';
import { giveDrafts } from '../writing/draftsElsewhere';
import { clearDrafts, listDrafts } from '../writing/drafts';
import { clearTemplatesHere } from '../writing/templatesHere';

/**
 * Signs out and leaves nothing on the device; a letter that was begun there and could not be kept at the server is asked about first.
 * @param owner whose drafts are given to the server
 */
export function SignOutButton({ owner }: { owner: string }) {
  const [asking, setAsking] = useState(false);
  const [failed, setFailed] = useState(false);

  async function ask() {
    await giveDrafts(owner).catch(() => undefined);
    if ((await listDrafts()).some(({ changed, version }) => changed || !version)) setAsking(true);
    else await signOut();
  }

  async function signOut() {
    const answer = await fetch('/api/session', { method: 'DELETE' }).catch(() => undefined);
    if (!answer?.ok) return setFailed(true);
    await clearDrafts();
    await clearTemplatesHere();
    await clearFilesHere();
    clearTypedWords();
    clearKeptHere();
    window.location.assign('/sign-in');
  }

  if (asking) {
    return (
      <div role="alertdialog" aria-label="Sign out">
        <p>A letter you have begun is only on this device, and goes when you sign out.</p>
        <button type="button" className="btn btn-link" onClick={() => void signOut()}>
          Sign out all the same
        </button>
        <button type="button" className="btn btn-link" autoFocus onClick={() => setAsking(false)}>
          Stay
        </button>
      </div>
    );
  }
  return (
    <>
      <button type="button" className="btn btn-link" onClick={() => void ask()}>
        Sign out
      </button>
      <span role="alert">{failed && 'There is no connection; you are still signed in.'}</span>
    </>
  );
}
