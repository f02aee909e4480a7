'use client';

import { OwnDetailsForm, type OwnDetailsFormProps } from '../settings/OwnDetailsForm';
import { NotNow } from './StepFoot';
import { useStep } from './useStep';

/** The business's own details, as the first step. */
export function BusinessStep(props: Omit<OwnDetailsFormProps, 'button' | 'onKept' | 'children'>) {
  const { done } = useStep('business');
  return (
    <OwnDetailsForm {...props} button="Keep and go on" onKept={done}>
      <NotNow step="business" />
    </OwnDetailsForm>
  );
}
