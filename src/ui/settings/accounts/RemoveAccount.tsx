'use client';

import { useState } from 'react';
import type { Done } from '../../../core/contract/refusal';
import { askServer } from '../../writing/askServer';
import { accountPath, type Which } from './accountPlace';

/** Takes an account out, after being asked: its password would have to be found again. */
export function RemoveAccount(which: Which) {
  const [asks, setAsks] = useState(false);
  const [trouble, setTrouble] = useState('');
  async function remove() {
    const answer = await askServer<Done>(accountPath(which), {}, 'DELETE');
    if ('offline' in answer) return setTrouble('There is no connection. Nothing has changed.');
    if (answer.body.error) return setTrouble(answer.body.error);
    // What is written in the form goes with it.
    window.location.reload();
  }
  if (!asks)
    return (
      <button type="button" className="btn btn-link" onClick={() => setAsks(true)}>
        Take it out
      </button>
    );
  return (
    <span role="group" aria-label="Take the account out">
      <button type="button" className="btn btn-outline-primary" onClick={() => void remove()}>
        Yes, take it out
      </button>{' '}
      <button type="button" className="btn btn-link" onClick={() => setAsks(false)}>
        Leave it
      </button>
      {trouble && <span role="alert"> {trouble}</span>}
    </span>
  );
}
