'use client';

import { useState } from 'react';

export function SignOutButton() {
  const [failed, setFailed] = useState(false);

  async function signOut() {
    const answer = await fetch('/api/session', { method: 'DELETE' }).catch(() => undefined);
    if (answer?.ok) window.location.assign('/sign-in');
    else setFailed(true);
  }

  return (
    <>
      <button type="button" className="btn btn-link" onClick={() => void signOut()}>
        Sign out
      </button>
      <span role="alert">{failed && 'There is no connection; you are still signed in.'}</span>
    </>
  );
}
