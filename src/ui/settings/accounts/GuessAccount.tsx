'use client';

import { useState } from 'react';
import { useFormContext } from 'react-hook-form';
import { askServer } from '../../writing/askServer';
import { accountPath, type Which } from './accountPlace';

interface Guess {
  error?: string;
  domain: string;
  found?: { host: string; port: number; security: string; user_name: string };
}

/** Looks up what a provider says of its servers, and writes it into the form. */
export function GuessAccount(which: Which) {
  const { setValue, setFocus } = useFormContext();
  const [busy, setBusy] = useState(false);
  const [words, setWords] = useState('');
  async function guess() {
    setBusy(true);
    setWords('Asking …');
    const answer = await askServer<Guess>(`${accountPath(which)}/guess`, {});
    setBusy(false);
    if ('offline' in answer) return setWords('There is no connection.');
    const { error, domain, found } = answer.body;
    if (error) return setWords(error);
    if (!found)
      return setWords(`Nothing is said of ${domain}. The help of your provider tells what to write.`);
    for (const [name, value] of Object.entries(found))
      setValue(name, value, { shouldDirty: true, shouldValidate: true });
    setFocus('secret');
    return setWords(`Found for ${domain}. Look at it, and write the password.`);
  }
  return (
    <p className="cure-actions">
      <button type="button" className="btn btn-outline-primary" disabled={busy} onClick={() => void guess()}>
        Look it up
      </button>
      <span role="status">{words}</span>
    </p>
  );
}
