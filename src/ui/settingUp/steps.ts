import { SET_UP_STEPS, type SetUpStep } from '../../core/contract/settingUp';

/** What each page of setting up is called, and what it is for. */
export const STEPS: Readonly<Record<SetUpStep, { title: string; note: string }>> = {
  business: { title: 'Your business', note: 'What your letters say of it. Most of it can wait.' },
  member: { title: 'You', note: 'What your letters say of you, and what they are signed with.' },
  sending: { title: 'How letters leave', note: 'Where your letters go from here.' },
  clients: { title: 'First clients', note: 'One or two are enough to begin with.' },
  templates: {
    title: 'What you write with',
    note: 'Letters to begin with, and what you must replace in them.',
  },
  trial: { title: 'A first letter', note: 'Filled for a client of yours, and sent to you alone.' },
};

/** The path of the page behind a step; behind the last one, Today. */
export function pathBehind(step: SetUpStep): string {
  const next = SET_UP_STEPS[SET_UP_STEPS.indexOf(step) + 1];
  return next ? `/setting-up/${next}` : '/today';
}
