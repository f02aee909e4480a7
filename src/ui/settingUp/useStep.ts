'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { SetUpStep } from '../../core/contract/settingUp';
import type { Done } from '../../core/contract/refusal';
import { askServer } from '../writing/askServer';
import { pathBehind } from './steps';

/** Goes on from a step of setting up, noting that it is done or put off; why it could not, in words. */
export function useStep(step: SetUpStep) {
  const [trouble, setTrouble] = useState<string>();
  const router = useRouter();
  const go = async (as: 'done' | 'skipped') => {
    const answer = await askServer<Done>('/api/business/set-up', { step, as }, 'PUT');
    if ('offline' in answer) return setTrouble('There is no connection. Press again when there is.');
    if (answer.body.error) return setTrouble(answer.body.error);
    router.push(pathBehind(step));
    router.refresh();
  };
  return { trouble, done: () => void go('done'), skip: () => void go('skipped') };
}
