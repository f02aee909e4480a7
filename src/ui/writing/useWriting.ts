'use client';

import { useEffect, useState } from 'react';
import type { PastLetter } from '../../core/fitting/fittingTemplates';
import type { StartingPoint } from '../../core/records/which/situation';
import { WritingDesk, type WritingFacts } from '../../core/writing/writingDesk';
import { askServer } from './askServer';
import { draftKey, openDraft, type Draft } from './drafts';
import { LetterStore } from './letterStore';

/** What the page is written from, as the server gives it. */
export interface Facts extends WritingFacts {
  groups: { key: string; name: string; initial: string; tint: string; templates: string[] }[];
  letters: PastLetter[];
  /** whose drafts are kept apart on this device */
  business: string;
}

export interface Writing {
  facts: Facts;
  store: LetterStore;
  draft: Draft;
  draftKey: string;
  /** letters from here that were begun before, with words of their writer's in them */
  others: Draft[];
}

export type WritingState =
  { state: 'fetching' | 'offline' | 'failed' | 'missing' } | ({ state: 'ready' } & Writing);

/**
 * Fetches the facts once and opens the draft. With `again` they are fetched anew, and what it gives is taken along: the
 * letter as it stands when they have come, with whatever was typed meanwhile.
 */
export function useWriting(
  from: string,
  start: StartingPoint,
  template: string | undefined,
): [WritingState, (again?: () => Draft) => Promise<void>] {
  const [writing, setWriting] = useState<WritingState>({ state: 'fetching' });

  const load = async (again?: () => Draft) => {
    if (!again) setWriting({ state: 'fetching' });
    const answer = await askServer<Facts>(`/api/writing?from=${encodeURIComponent(from)}`);
    if ('offline' in answer) return setWriting((before) => (again ? before : { state: 'offline' }));
    if (answer.status === 401) return signInAgain();
    if (answer.status === 404) return setWriting({ state: 'missing' });
    if (answer.status !== 200) return setWriting((before) => (again ? before : { state: 'failed' }));
    const facts = answer.body;
    const key = draftKey(`${facts.business} ${facts.member}`, start);
    const begun = again?.();
    const { draft, others } = begun ? { draft: begun, others: [] } : await openDraft(key, template);
    const store = new LetterStore(new WritingDesk(facts), start);
    if (draft.letter && draft.base) store.resume(draft.letter, draft.base);
    setWriting({ state: 'ready', facts, store, draft, draftKey: key, others });
  };

  useEffect(() => {
    void load();
    // The page is made anew for another starting point; another template there is chosen on the page.
  }, [from]);

  return [writing, load];
}

/** Signs in and comes back to the page; what was written is kept on the device. */
export function signInAgain(): void {
  const here = window.location.pathname + window.location.search;
  window.location.assign(`/sign-in?to=${encodeURIComponent(here)}`);
}
