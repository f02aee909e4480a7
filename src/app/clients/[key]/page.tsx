import type { Metadata } from 'next';
import { RecordRoute, recordTitle } from '../../recordPage';

type Props = { params: Promise<{ key: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return recordTitle('client', (await params).key);
}

export default async function ClientPage({ params }: Props) {
  return (
    <RecordRoute kind="client" segment={(await params).key} back={{ href: '/clients', words: 'Clients' }} />
  );
}
