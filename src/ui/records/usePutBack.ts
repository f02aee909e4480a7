'use client';

import { useRouter } from 'next/navigation';
import { isFormKind } from '../../core/contract/records/formKinds';
import type { PutBackAnswer } from '../../core/contract/records/removing';
import { askServer } from '../writing/askServer';
import { recordPath } from './recordPath';

/**
 * Puts a removed record back and goes to its page.
 * @param offline what is said without a connection
 * @returns what keeps it from being done, in words; undefined: it is done
 */
export function usePutBack(offline: string): (id: string) => Promise<string | undefined> {
  const router = useRouter();
  return async (id) => {
    const answer = await askServer<PutBackAnswer>('/api/records/removed', { id });
    if ('offline' in answer) return offline;
    const { body } = answer;
    if (body.error !== undefined) return body.error;
    if (isFormKind(body.kind)) router.push(recordPath({ kind: body.kind, key: body.key }));
    router.refresh();
    return undefined;
  };
}
