'use client';

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

/** The foot of a step that keeps nothing by itself. */
export function StepFoot({ step, button = 'Go on' }: { step: SetUpStep; button?: string }) {
  const { trouble, done } = useStep(step);
  return (
    <div className="letter-foot">
      <div className="foot-line">
        <button type="button" className="btn btn-primary" onClick={done}>
          {button}
        </button>
        <NotNow step={step} />
        <p className="foot-words problem" role="alert">
          {trouble}
        </p>
      </div>
    </div>
  );
}
