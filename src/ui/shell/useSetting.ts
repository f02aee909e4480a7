'use client';

import { useState } from 'react';
import type { Done } from '../../core/contract/refusal';
import type { Settings } from '../../core/contract/settings';
import { askServer } from '../writing/askServer';

/** Something that holds for the business, kept at once. Gives what it is now, what is said of it, and what settles it. */
export function useSetting<Value extends number | boolean>(
  name: keyof Settings,
  value: Value,
): [now: Value, said: string, settle: (next: Value) => Promise<void>] {
  const [now, setNow] = useState(value);
  const [said, setSaid] = useState('');

  async function settle(next: Value) {
    const answer = await askServer<Done>('/api/settings', { [name]: next }, 'PUT');
    if ('offline' in answer) return setSaid('There is no connection. Nothing has changed.');
    if (answer.body.error) return setSaid(answer.body.error);
    setNow(next);
    setSaid('Settled for the business.');
  }

  return [now, said, settle];
}
