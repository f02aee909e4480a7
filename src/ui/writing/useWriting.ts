'use client';

import { ownerKey } from '../../core/contract/ownerKey';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { WritingAnswer, ListedGroup } from '../../core/contract/writing';
import type { OthersTemplate } from '../../core/contract/templates';
import type { PastLetter } from '../../core/fitting/fittingTemplates';
import type { StartingPoint } from '../../core/records/which/situation';
import type { AnsweredMessage } from '../../core/writing/reply';
import { beginsWith } from '../../core/writing/beginsWith';
import { WritingDesk } from '../../core/writing/writingDesk';
import { askForFacts } from './askForFacts';
import { templatesOf } from '../../core/writing/letter';
import { bringWords } from './bringWords';
import { bringDrafts } from '../drafts/draftsElsewhere';
import { draftKey, openDraft, type Draft } from '../drafts/drafts';
import { shelved, type ShelvedLetter } from '../sending/shelf';
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
  /** business and member */
  owner: string;
  /** the letter as it waits on this device for a connection, or did until the server refused it */
  onShelf?: ShelvedLetter;
  /** letters from here that were begun before, with words of their writer's in them */
  begun: Draft[];
  /** the message that is to be answered */
  answered?: AnsweredMessage;
  /** what was last said to them and by them */
  lastSaid?: string | undefined;
}

/** Which letter from there is asked for. */
export interface AskedLetter {
  /** the template to begin with */
  template: string | undefined;
  /** the id of one that waits on this device */
  letter: string | undefined;
  /** something was shared to the application that goes into a new one */
  shared: boolean;
  /** the id of the message that it answers */
  reply: string | undefined;
}

export type WritingState =
  | { state: 'offline' | 'failed' | 'missing' }
  /** whether the letter that the server drew can be read meanwhile */
  | { state: 'fetching'; read: boolean }
  | ({ state: 'ready' } & Writing);

/** Which facts a letter is written on from: those that the server has now, or those that the page has. */
export type Anew = 'fetched' | 'as it is';

/** Facts that come with a document are of the moment it was opened: they are used for its first letter alone. */
let documentUsed = false;

/**
 * Fetches the facts once, unless they came with the document, and opens the draft. With `again` they are fetched anew, and
 * what it gives is taken along: the letter as it stands when they have come, with whatever was typed meanwhile. Where they
 * do not come the letter stays as it was; that is told by false. `as it is`: they are not.
 */
export function useWriting(
  from: string,
  start: StartingPoint,
  wanted: AskedLetter,
  given?: WritingAnswer,
): [WritingState, (again?: () => Draft, how?: Anew) => Promise<boolean>] {
  const [writing, setWriting] = useState<WritingState>({
    state: 'fetching',
    read: given !== undefined && !documentUsed,
  });

  // The page is made anew for another starting point alone; another template there is chosen on the page.
  const asked = useRef({ start, wanted, given });
  useEffect(() => {
    asked.current = { start, wanted, given };
  });
  // What was asked for last is what counts.
  const latest = useRef(0);
  const last = useRef<Awaited<ReturnType<typeof askForFacts>>>(undefined);

  const load = useCallback(
    async (again?: () => Draft, how: Anew = 'fetched'): Promise<boolean> => {
      const { start: startsAt, wanted, given: brought } = asked.current;
      const { template, reply } = wanted;
      const mine = ++latest.current;
      const isStale = () => mine !== latest.current;
      const fail = (state: 'offline' | 'failed') => {
        if (!again && !isStale()) setWriting({ state });
        return isStale();
      };
      const withDocument = documentUsed || again ? undefined : brought;
      documentUsed = true;
      if (!again && !withDocument) setWriting({ state: 'fetching', read: false });
      const answer =
        (how === 'as it is' && last.current) || (await askForFacts(from, template, withDocument, reply));
      if (isStale()) return true;
      if ('offline' in answer) return fail('offline');
      if (answer.status === 401) signInAgain();
      if (answer.status === 404) setWriting({ state: 'missing' });
      if (answer.status === 401 || answer.status === 404) return true;
      if (answer.status !== 200 || !answer.list) return fail('failed');
      last.current = answer;
      const { body: facts, list } = answer;
      const owner = ownerKey(facts.business, facts.member);
      const key = draftKey(owner, startsAt);
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
        : [firstTemplate(desk, startsAt, letters, wanted)].filter((key) => key !== undefined);
      if (needed.length > 0 && !(await bringWords(desk, needed, isStale))) return fail('offline');
      const onShelf = again ? undefined : await shelved(opened.id);
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
        owner,
        ...(onShelf ? { onShelf } : {}),
        ...(facts.answered ? { answered: facts.answered } : {}),
        lastSaid: facts.lastSaid,
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

/** The template that a letter begins with; an answer, and one for something that was shared, is blank unless it is said. */
export function firstTemplate(
  desk: WritingDesk,
  start: StartingPoint,
  letters: readonly PastLetter[],
  { template, shared, reply }: Pick<AskedLetter, 'template' | 'shared' | 'reply'>,
): string | undefined {
  const isBlank = (shared || reply !== undefined) && template === undefined;
  const situation = isBlank ? desk.situation(start) : undefined;
  return situation ? desk.blankLetter(situation) : beginsWith(desk, start, letters, template);
}

/** Signs in and comes back to the page; what was written is kept on the device. */
export function signInAgain(): void {
  const here = window.location.pathname + window.location.search;
  window.location.assign(`/sign-in?to=${encodeURIComponent(here)}`);
}
