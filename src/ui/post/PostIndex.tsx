'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { Begun } from './Begun';
import type { ListPage } from '../../core/contract/list';
import { RecordIndex } from '../records/RecordIndex';

/** While something is going, the list asks again every few seconds. */
const AGAIN = 3000;

/** What is going, gone or come back, newest first. */
export function PostIndex({ first, going, owner }: { first: ListPage; going: boolean; owner: string }) {
  const router = useRouter();
  useEffect(() => {
    if (!going) return;
    const timer = setInterval(() => router.refresh(), AGAIN);
    return () => clearInterval(timer);
  }, [going, router]);
  return (
    <RecordIndex
      title="Post"
      kinds={<Begun owner={owner} />}
      first={first}
      source="/api/letters"
      path="/post"
      find="Find a letter by its words"
      empty="Nothing has been sent yet. What is going, gone or come back will stand here."
    />
  );
}
