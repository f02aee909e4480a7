'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { BegunHere } from './BegunHere';
import { RecordIndex, type Entry } from '../records/RecordIndex';

/** While something is going, the list asks again every few seconds. */
const AGAIN = 3000;

/** What is going, gone or come back, newest first. */
export function PostIndex({ entries, going, owner }: { entries: Entry[]; going: boolean; owner: string }) {
  const router = useRouter();
  useEffect(() => {
    if (!going) return;
    const timer = setInterval(() => router.refresh(), AGAIN);
    return () => clearInterval(timer);
  }, [going, router]);
  return (
    <RecordIndex
      title="Post"
      kinds={<BegunHere owner={owner} />}
      entries={entries}
      path="/post"
      find="Find a letter by its words"
      more="/api/letters"
      empty="Nothing has been sent yet. What is going, gone or come back will stand here."
    />
  );
}
