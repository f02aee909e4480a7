import type { Metadata } from 'next';
import { beginningFrom, type Asked } from '../../beginningFrom';
import { NewRecord } from '../../recordForm';

export const metadata: Metadata = { title: 'A new client' };

export default async function NewClientPage({ searchParams }: { searchParams: Promise<Asked> }) {
  return (
    <NewRecord
      kind="client"
      from={beginningFrom(await searchParams)}
      back={{ href: '/clients', words: 'Clients' }}
    />
  );
}
