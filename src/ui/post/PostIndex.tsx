'use client';

import { Begun } from './Begun';
import { FollowLetters } from './FollowLetters';
import type { ListPage } from '../../core/contract/list';
import { RecordIndex } from '../records/RecordIndex';

/** What is going, gone, come back or come in, newest first. */
export function PostIndex({ first, owner }: { first: ListPage; owner: string }) {
  return (
    <RecordIndex
      title="Post"
      kinds={
        <>
          <FollowLetters />
          <Begun owner={owner} />
        </>
      }
      first={first}
      source="/api/letters"
      path="/post"
      find="Find a letter by its words"
      empty="Nothing has been sent yet. What is going, gone, come back or come in will stand here."
    />
  );
}
