'use client';

import { useEffect, useState } from 'react';
import type { ClientParts } from '../../core/contract/records/formChoices';
import { askServer } from '../writing/askServer';

const NONE = { items: [], contacts: [], projects: [], address: undefined, billing: undefined } as const;

/**
 * What of a client's a record of theirs can name.
 * @param given those of the client that the page came with
 */
export function useClientParts(
  key: string | undefined,
  given: ClientParts | undefined,
): Omit<ClientParts, 'key' | 'name'> & { name?: string } {
  const [parts, setParts] = useState(given);
  const known = parts?.key === key ? parts : undefined;
  const wanted = key && !known ? key : undefined;
  useEffect(() => {
    if (!wanted) return;
    let latest = true;
    void askServer<ClientParts>(`/api/clients/${encodeURIComponent(wanted)}/parts`).then((answer) => {
      if (latest && !('offline' in answer) && answer.status === 200) setParts(answer.body);
    });
    return () => {
      latest = false;
    };
  }, [wanted]);
  return known ?? { ...NONE, items: [], contacts: [], projects: [] };
}
