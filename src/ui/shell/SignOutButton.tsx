'use client';

import { useState } from 'react';
import { clearFilesHere } from '../bringing/fileHere';
import { clearKeptHere } from '../forms/keptHere';
import { clearTypedWords } from '../templates/useTypedWords';
import { clearDrafts, listDrafts } from '../writing/drafts';
import { clearTemplatesHere } from '../writing/templatesHere';

/** Signs out and leaves nothing on the device; a letter that was begun there is asked about first. */
export function SignOutButton() {
  const [asking, setAsking] = useState(false);
  const [failed, setFailed] = useState(false);

  async function ask() {
    if ((await listDrafts()).length > 0) setAsking(true);
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
