import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { keyFrom } from '../../../../keyFrom';
import { ChangeRecord } from '../../../../recordForm';
import { WORK_KINDS } from '../../../kinds';

type Props = { params: Promise<{ kind: string; key: string }> };

export const metadata: Metadata = { title: 'Change' };

export default async function ChangeWorkPage({ params }: Props) {
  const { kind, key } = await params;
  const work = WORK_KINDS.get(kind);
  if (!work) notFound();
  return <ChangeRecord kind={work.kind} recordKey={keyFrom(key)} />;
}
