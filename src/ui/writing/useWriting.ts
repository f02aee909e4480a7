'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { WritingAnswer, ListedGroup } from '../../core/contract/writing';
import type { OthersTemplate } from '../../core/contract/templates';
import type { PastLetter } from '../../core/fitting/fittingTemplates';
import type { StartingPoint } from '../../core/records/which/situation';
import { beginsWith } from '../../core/writing/beginsWith';
import { WritingDesk } from '../../core/writing/writingDesk';
import { askForFacts } from './askForFacts';
import { templatesOf } from '../../core/writing/letter';
import { bringWords } from './bringWords';
import { bringDrafts } from './draftsElsewhere';
import { draftKey, openDraft, type Draft } from './drafts';
import { Proofer } from './proofer';
import { LetterStore } from './letterStore';

export interface Writing {
  letters: PastLetter[];
  /** templates of which somebody is writing the next version */
  reworded: WritingAnswer['reworded'];
  groups: ListedGroup[];
  /** templates that are somebody else's own */
  others: OthersTemplate[];
  store: LetterStore;
  draft: Draft;
  draftKey: string;
  /** letters from here that were begun before, with words of their writer's in them */
  begun: Draft[];
}

export type WritingState =
  | { state: 'offline' | 'failed' | 'missing' }
  /** whether the letter that the server drew can be read meanwhile */
  | { state: 'fetching'; read: boolean }
  | ({ state: 'ready' } & Writing);

/** Facts that come with a document are of the moment it was opened: they are used for its first letter alone. */
let documentUsed = false;

/**
 * Fetches the facts once, unless they came with the document, and opens the draft. With `again` they are fetched anew, and
 * what it gives is taken along: the letter as it stands when they have come, with whatever was typed meanwhile. Where they
 * do not come the letter stays as it was; that is told by false.
 */
export function useWriting(
  from: string,
  start: StartingPoint,
  template: string | undefined,
  given?: WritingAnswer,
): [WritingState, (again?: () => Draft) => Promise<boolean>] {
  const [writing, setWriting] = useState<WritingState>({
    state: 'fetching',
    read: given !== undefined && !documentUsed,
  });

  // The page is made anew for another starting point alone; another template there is chosen on the page.
  const asked = useRef({ start, template, given });
  useEffect(() => {
    asked.current = { start, template, given };
  });
  // What was asked for last is what counts.
  const latest = useRef(0);

  const load = useCallback(
    async (again?: () => Draft): Promise<boolean> => {
      const { start: startsAt, template: wanted, given: brought } = asked.current;
      const mine = ++latest.current;
      const isStale = () => mine !== latest.current;
      const fail = (state: 'offline' | 'failed') => {
        if (!again && !isStale()) setWriting({ state });
        return isStale();
      };
      const withDocument = documentUsed || again ? undefined : brought;
      documentUsed = true;
      if (!again && !withDocument) setWriting({ state: 'fetching', read: false });
      const answer = await askForFacts(from, wanted, withDocument);
      if (isStale()) return true;
      if ('offline' in answer) return fail('offline');
      if (answer.status === 401) signInAgain();
      if (answer.status === 404) setWriting({ state: 'missing' });
      if (answer.status === 401 || answer.status === 404) return true;
      if (answer.status !== 200 || !answer.list) return fail('failed');
      const { body: facts, list } = answer;
      const key = draftKey(`${facts.business} ${facts.member}`, startsAt);
      // Without the device's store the letter lives as long as the page.
      if (!again) await bringDrafts(key, facts.drafts).catch(() => undefined);
      if (isStale()) return true;
      const { draft: opened, others: begun } = again
        ? { draft: again(), others: [] }
        : await openDraft(key, wanted);
      const desk = new WritingDesk({ ...facts, ...list });
      const { letters, reworded } = facts;
      const needed = opened.letter
        ? templatesOf(opened.letter.choices)
        : [beginsWith(desk, startsAt, letters, wanted)].filter((key) => key !== undefined);
      if (needed.length > 0 && !(await bringWords(desk, needed, isStale))) return fail('offline');
      if (isStale()) return true;
      const draft = again?.() ?? opened;
      const store = new LetterStore(desk, startsAt, new Proofer(desk, facts.phones));
      if (draft.letter && draft.base) store.resume(draft.letter, draft.base);
      setWriting({
        state: 'ready',
        letters,
        reworded,
        groups: list.groups,
        others: list.others,
        store,
        draft,
        draftKey: key,
        begun,
      });
      return true;
    },
    [from],
  );

  useEffect(() => {
    void load();
    const now = latest;
    return () => {
      now.current++;
    };
  }, [load]);

  return [writing, load];
}

/** Signs in and comes back to the page; what was written is kept on the device. */
export function signInAgain(): void {
  const here = window.location.pathname + window.location.search;
  window.location.assign(`/sign-in?to=${encodeURIComponent(here)}`);
}
