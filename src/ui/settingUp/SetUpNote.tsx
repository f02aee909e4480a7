'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Done } from '../../core/contract/refusal';
import { SET_UP_STEPS, type SetUp } from '../../core/contract/settingUp';
import { askServer } from '../writing/askServer';
import { STEPS } from './steps';

/** How far setting up is, and what comes next; it can be left as it is. */
export function SetUpNote({ setUp }: { setUp: SetUp }) {
  const [trouble, setTrouble] = useState<string>();
  const router = useRouter();
  const left = SET_UP_STEPS.filter((step) => setUp[step] !== 'done');

  async function leave() {
    const answer = await askServer<Done>('/api/business/set-up', { step: 'all', as: 'done' }, 'PUT');
    if ('offline' in answer) return setTrouble('There is no connection. Nothing has changed.');
    if (answer.body.error) return setTrouble(answer.body.error);
    router.refresh();
  }

  return (
    <section className="paper set-up-note" aria-labelledby="set-up-title">
      <h2 id="set-up-title">Setting up</h2>
      <p>
        {SET_UP_STEPS.length - left.length} of {SET_UP_STEPS.length} done. Still to do:{' '}
        {left.map((step, i) => (
          <span key={step}>
            {i > 0 && ', '}
            <Link href={`/setting-up/${step}`} prefetch={false}>
              {STEPS[step].title}
            </Link>
          </span>
        ))}
        .
      </p>
      <div className="foot-line">
        <Link href="/setting-up" className="btn btn-primary" prefetch={false}>
          Go on
        </Link>
        <button type="button" className="btn btn-link" onClick={() => void leave()}>
          Leave it at that
        </button>
        <p className="problem" role="alert">
          {trouble}
        </p>
      </div>
    </section>
  );
}
