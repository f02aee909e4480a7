'use client';

import { useState } from 'react';
import { clearFilesHere } from '../bringing/fileHere';
import { clearKeptHere } from '../forms/keptHere';
import { clearTypedWords } from '../templates/useTypedWords';
import { clearHandedOver } from '../templates/fromLetter/handedOver';
import { clearKeptPages } from '../device/keptPages';
import { clearShared } from '../device/shared';
import { giveDrafts } from '../drafts/draftsElsewhere';
import { clearDrafts, listDrafts } from '../drafts/drafts';
import { giveShelf } from '../sending/giveShelf';
import { clearShelf, isOnlyHere, shelfOf } from '../sending/shelf';
import { clearTemplatesHere } from '../writing/templatesHere';

/**
 * Signs out and leaves nothing on the device; a letter that was begun there and could not be kept at the server is asked about first.
 * @param owner whose drafts are given to the server
 */
export function SignOutButton({ owner }: { owner: string }) {
  const [asking, setAsking] = useState(false);
  const [failed, setFailed] = useState(false);

  async function ask() {
    await giveShelf(owner).catch(() => undefined);
    await giveDrafts(owner).catch(() => undefined);
    const isDraftHere = (await listDrafts()).some(({ changed, version }) => changed || !version);
    if (isDraftHere || (await shelfOf()).some(isOnlyHere)) setAsking(true);
    else await signOut();
  }

  async function signOut() {
    const answer = await fetch('/api/session', { method: 'DELETE' }).catch(() => undefined);
    if (!answer?.ok) return setFailed(true);
    await clearDrafts();
    await clearShelf();
    await clearKeptPages();
    await clearShared();
    await clearTemplatesHere();
    await clearFilesHere();
    clearTypedWords();
    clearHandedOver();
    clearKeptHere();
    window.location.assign('/sign-in');
  }

  if (asking) {
    return (
      <div role="alertdialog" aria-label="Sign out">
        <p>A letter you have written is only on this device, and is lost when you sign out.</p>
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
