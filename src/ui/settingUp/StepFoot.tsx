'use client';

import { useState } from 'react';
import type { SetUpStep } from '../../core/contract/settingUp';
import { useStep } from './useStep';

/** What leaves a step undone for now. */
export function NotNow({ step }: { step: SetUpStep }) {
  const { trouble, skip } = useStep(step);
  return (
    <>
      <button type="button" className="btn btn-link" onClick={skip}>
        Not now
      </button>
      {trouble && <span role="alert">{trouble}</span>}
    </>
  );
}

interface FootProps {
  step: SetUpStep;
  button?: string;
  /** what must be seen to before one goes on, in words */
  waits?: string;
}

/** The foot of a step that keeps nothing by itself. */
export function StepFoot({ step, button = 'Go on', waits }: FootProps) {
  const { trouble, done } = useStep(step);
  const [pressed, setPressed] = useState(false);
  return (
    <div className="letter-foot">
      <div className="foot-line">
        <button type="button" className="btn btn-primary" onClick={waits ? () => setPressed(true) : done}>
          {button}
        </button>
        <NotNow step={step} />
        <p className="foot-words problem" role="alert">
          {trouble ?? (pressed && waits)}
        </p>
      </div>
    </div>
  );
}
