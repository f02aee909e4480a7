'use client';

import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { SET_UP_STEPS, type SetUp } from '../../core/contract/settingUp';
import { STEPS } from './steps';

const WORDS = { done: 'done', skipped: 'not now' } as const;

/** The pages of setting up, and which of them are done. */
export function SetUpIndex({ setUp }: { setUp: SetUp | undefined }) {
  const here = usePathname();
  const done = SET_UP_STEPS.filter((step) => !setUp || setUp[step] === 'done').length;
  return (
    <section className="index index-behind" aria-labelledby="index-title">
      <h1 id="index-title">Setting up</h1>
      <p className="count">
        {done} of {SET_UP_STEPS.length} done
      </p>
      <ol className="settings-index">
        {SET_UP_STEPS.map((step) => {
          const state = setUp ? setUp[step] : 'done';
          return (
            <li key={step}>
              <Link
                href={`/setting-up/${step}`}
                prefetch={false}
                className="entry"
                aria-current={here === `/setting-up/${step}` ? 'page' : undefined}
              >
                <span className="entry-name">{STEPS[step].title}</span>
                <span className={`entry-note ${state === 'done' ? 'in-order' : ''}`}>
                  {state ? WORDS[state] : 'to do'}
                </span>
              </Link>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
