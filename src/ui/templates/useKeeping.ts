'use client';

import { useState } from 'react';
import type { Refusal } from '../../core/contract/refusal';
import type { KeepAnswer, WordsToKeep } from '../../core/contract/templateWords';
import type { Problem } from '../../core/problems/problem';
import { askServer } from '../writing/askServer';
import { signInAgain } from '../writing/useWriting';
import type { TypedWords } from './useTypedWords';

/** What came of keeping a template's words. */
export interface Keeping {
  keep: (words: TypedWords) => Promise<void>;
  busy: boolean;
  /** what the server found wrong with the words that it was given */
  problems: Problem[];
  /** why they were not kept, in words */
  trouble: string | undefined;
  /** the version that was kept since by somebody else */
  overtaken: number | undefined;
  /** what was kept, in words */
  kept: string | undefined;
  /** the other version is loaded: nothing is overtaken any more */
  settle: () => void;
}

/** Keeps a template's words as its next version. */
export function useKeeping(templateKey: string, onKept: (kept: TypedWords) => void): Keeping {
  const [state, setState] = useState<
    Pick<Keeping, 'trouble' | 'overtaken' | 'kept'> & { problems: Problem[] }
  >(NOTHING);
  const [busy, setBusy] = useState(false);

  async function keep({ version, text }: TypedWords) {
    if (busy) return;
    setBusy(true);
    setState(NOTHING);
    const answer = await askServer<KeepAnswer | Refusal>(
      `/api/templates/${encodeURIComponent(templateKey)}`,
      {
        version,
        text,
      } satisfies WordsToKeep,
    );
    setBusy(false);
    const said = (trouble: string) => setState({ ...NOTHING, trouble });
    if ('offline' in answer)
      return said('There is no connection. Your words are still here; keep them later.');
    const { body } = answer;
    switch (body.result) {
      case 'kept':
        setState({ ...NOTHING, kept: `Kept as version ${body.version}.` });
        return onKept({ version: body.version, text });
      case 'wrong':
        return setState({ ...NOTHING, problems: body.problems });
      case 'overtaken':
        return setState({
          ...NOTHING,
          overtaken: body.version,
          trouble: `${body.by ?? 'Somebody'} has kept version ${body.version} since you began. Load it, and put your change into it; what you wrote stays beside it.`,
        });
      case 'refused':
        return said(
          'This template is everyone’s: “mine: yes” would take it from the others. Leave that line out.',
        );
      case 'gone':
        return said('This template is no longer there.');
      default:
        if (body.signedOut) return signInAgain();
        return said(body.error);
    }
  }

  return { keep, busy, ...state, settle: () => setState(NOTHING) };
}

const NOTHING = { problems: [], trouble: undefined, overtaken: undefined, kept: undefined };
