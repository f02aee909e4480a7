'use client';

import { useEffect, useState } from 'react';
import { useWatch } from 'react-hook-form';
import type { ClientParts } from '../../core/contract/records/formChoices';
import type { KeptForm } from '../forms/useKeptForm';
import { askServer } from '../writing/askServer';

const NONE = {
  addresses: [],
  items: [],
  contacts: [],
  projects: [],
  billing: undefined,
} satisfies Partial<ClientParts>;

/** Whose a record is, as its form has it. */
interface FormClient {
  /** the key; empty: nobody's yet */
  client: string;
  /** what of theirs the record can name; nothing until it has come */
  parts: Omit<ClientParts, 'key' | 'name'>;
  /** what they are called */
  called: string | undefined;
  /** said when another is chosen, so that the name need not be waited for */
  setCalled: (name: string | undefined) => void;
}

/** @param given those of the client that the page came with */
export function useFormClient({ form }: KeptForm, given: ClientParts | undefined): FormClient {
  const client = useWatch({ control: form.control, name: 'client' }) as string;
  const [parts, setParts] = useState(given);
  const [called, setCalled] = useState(given?.name);
  const known = parts?.key === client ? parts : undefined;
  const wanted = client && !known ? client : undefined;
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
  return { client, parts: known ?? NONE, called: called ?? known?.name, setCalled };
}
