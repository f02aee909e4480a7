'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Refusal } from '../../core/contract/refusal';
import type { NewTemplate, TemplateAnswer } from '../../core/contract/templates';
import { askServer } from '../writing/askServer';
import { NEW_GROUP } from './GroupField';

interface Making {
  /** what is wrong, in words, and with which field */
  problem: { words: string; field?: string } | undefined;
  busy: boolean;
  make: (template: Omit<NewTemplate, 'group'> & { group: string }) => Promise<void>;
  /** something was changed: what was wrong may be so no more */
  mend: () => void;
}

/**
 * Makes a template and goes to it.
 * @param behind what stands at the end of its address
 */
export function useMakeTemplate(behind = ''): Making {
  const [problem, setProblem] = useState<Making['problem']>();
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  return {
    problem,
    busy,
    mend: () => setProblem(undefined),
    make: async ({ group, ...template }) => {
      if (group === NEW_GROUP)
        return setProblem({ words: 'Make the new group first, or choose another.', field: 'group' });
      setBusy(true);
      setProblem(undefined);
      const answer = await askServer<TemplateAnswer | Refusal>('/api/templates', {
        ...template,
        group: group || null,
      });
      if (!('offline' in answer) && answer.body.result === 'done') {
        router.push(`/templates/${answer.body.key}${behind}`);
        return router.refresh();
      }
      setBusy(false);
      if ('offline' in answer)
        return setProblem({ words: 'There is no connection. What you wrote is still here.' });
      const { body } = answer;
      if (body.result !== 'done')
        setProblem({ words: body.error, ...('field' in body && body.field ? { field: body.field } : {}) });
    },
  };
}
