import type { Metadata } from 'next';
import { keyFrom } from '../../../keyFrom';
import { ChangeRecord } from '../../../recordForm';
import { recordTitle } from '../../../recordPage';

type Props = { params: Promise<{ key: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return recordTitle('client', (await params).key);
}

export default async function ChangeClientPage({ params }: Props) {
  return <ChangeRecord kind="client" recordKey={keyFrom((await params).key)} />;
}
