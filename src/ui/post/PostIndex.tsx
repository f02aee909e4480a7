'use client';

import { useEffect, useState } from 'react';
import { Begun } from './Begun';
import { FollowLetters } from './FollowLetters';
import { askedBy, type LetterNarrowing } from '../../core/contract/letterNarrowing';
import type { ListPage } from '../../core/contract/list';
import { RecordIndex } from '../records/RecordIndex';
import { askServer } from '../writing/askServer';
import { NarrowLetters } from './NarrowLetters';

const LETTERS = '/api/letters';
const NOTHING: ListPage = { entries: [] };

/** What is going, gone, come back or come in, newest first; all of it, or what a narrowing leaves. */
export function PostIndex({ first, owner }: { first: ListPage; owner: string }) {
  const [narrowing, setNarrowing] = useState<LetterNarrowing>({});
  const asked = askedBy(narrowing);
  const source = asked ? `${LETTERS}?${asked}` : LETTERS;
  const [narrowed, setNarrowed] = useState<{ source: string; page?: ListPage }>();
  // What changes in the list of all may change in what is left of it.
  useEffect(() => {
    if (!asked) return;
    let latest = true;
    void askServer<ListPage>(source).then((answer) => {
      const came = !('offline' in answer) && answer.status === 200;
      if (latest) setNarrowed({ source, ...(came ? { page: answer.body } : {}) });
    });
    return () => {
      latest = false;
    };
  }, [asked, source, first]);
  const told = narrowed?.source === source ? narrowed : undefined;
  const empty = asked
    ? told
      ? told.page
        ? 'No letter is like that.'
        : 'They could not be fetched. Is there a connection?'
      : 'Looking …'
    : 'Nothing has been sent yet. What is going, gone, come back or come in will stand here.';
  return (
    <RecordIndex
      title="Post"
      kinds={
        <>
          <FollowLetters />
          <Begun owner={owner} />
        </>
      }
      first={asked ? (told?.page ?? NOTHING) : first}
      source={source}
      path="/post"
      find="Find a letter by its words"
      narrow={<NarrowLetters narrowing={narrowing} onChange={setNarrowing} />}
      empty={empty}
    />
  );
}
