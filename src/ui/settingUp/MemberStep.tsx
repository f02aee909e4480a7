'use client';

import type { ComponentProps } from 'react';
import { MemberForm } from '../settings/MemberForm';
import { NotNow } from './StepFoot';
import { useStep } from './useStep';

/** What letters say of the owner, as a step. */
export function MemberStep(props: Omit<ComponentProps<typeof MemberForm>, 'button' | 'onKept' | 'children'>) {
  const { done } = useStep('member');
  return (
    <MemberForm {...props} button="Keep and go on" onKept={done}>
      <NotNow step="member" />
    </MemberForm>
  );
}
